<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** A piece as geometry in millimetres: x from the middle line, y down from its highest point. */
final readonly class PieceFigure
{
    public float $left;

    public float $right;

    public float $bottom;

    /**
     * @param  list<Stroke>  $strokes
     * @param  list<BeadMark>  $beads
     */
    public function __construct(public array $strokes, public array $beads)
    {
        $left = $right = $bottom = 0.0;
        foreach ($strokes as $stroke) {
            $half = $stroke->wireMm / 2;
            foreach ($stroke->path as $command) {
                // An arc of half a turn bulges by its x radius.
                $bulge = $command[0] === 'A' ? (float) $command[1] : 0.0;
                [$x, $y] = $command[0] === 'A' ? [(float) ($command[4] ?? 0), (float) ($command[5] ?? 0)] : [(float) $command[1], (float) $command[2]];
                $left = min($left, $x - $half - ($x === 0.0 ? $bulge : 0));
                $right = max($right, $x + $half + ($x === 0.0 ? $bulge : 0));
                $bottom = max($bottom, $y + $half);
            }
        }
        foreach ($beads as $mark) {
            $left = min($left, -$mark->bead->widthMm / 2);
            $right = max($right, $mark->bead->widthMm / 2);
            $bottom = max($bottom, $mark->topMm + $mark->bead->lengthMm);
        }
        [$this->left, $this->right, $this->bottom] = [$left, $right, $bottom];
    }

    public function heightMm(): float
    {
        return $this->bottom;
    }

    public function widthMm(): float
    {
        return $this->right - $this->left;
    }
}

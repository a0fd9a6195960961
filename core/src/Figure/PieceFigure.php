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
                $isArc = $command[0] === 'A';
                $x = $command[$isArc ? 4 : 1] ?? 0;
                $y = $command[$isArc ? 5 : 2] ?? 0;
                // The arcs of an eye stand on the middle line and bulge to either side by their x radius.
                $reach = $half + ($isArc && $x === 0.0 ? $command[1] : 0);
                $x - $reach < $left && $left = $x - $reach;
                $x + $reach > $right && $right = $x + $reach;
                $y + $half > $bottom && $bottom = $y + $half;
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

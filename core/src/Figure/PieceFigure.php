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
            $lastX = 0.0;
            foreach ($stroke->path as $command) {
                $isArc = $command[0] === 'A';
                $x = (float) ($command[$isArc ? 4 : 1] ?? 0);
                $y = (float) ($command[$isArc ? 5 : 2] ?? 0);
                // The halves of an eye stand one above the other and bulge to their side by the x radius.
                $reach = $half + ($isArc && abs($x - $lastX) < 1e-9 ? (float) $command[1] : 0.0);
                $x - $reach < $left && $left = $x - $reach;
                $x + $reach > $right && $right = $x + $reach;
                $y + $half > $bottom && $bottom = $y + $half;
                $lastX = $x;
            }
        }
        foreach ($beads as $mark) {
            // A turned bead reaches no farther than its longer side.
            $across = $mark->turn === 0.0 ? $mark->bead->widthMm : max($mark->bead->widthMm, $mark->bead->lengthMm);
            $left = min($left, $mark->xMm - $across / 2);
            $right = max($right, $mark->xMm + $across / 2);
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

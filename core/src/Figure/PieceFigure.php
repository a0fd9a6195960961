<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** A piece as geometry in millimetres: x from the middle line, y down from its highest point. */
final readonly class PieceFigure
{
    public float $left;

    public float $right;

    public float $bottom;

    /** Highest point where a piece is laid on a table; one that hangs begins at 0 whatever its wire's edge. */
    private float $top;

    /**
     * @param  list<Stroke>  $strokes
     * @param  list<BeadMark>  $beads
     */
    public function __construct(public array $strokes, public array $beads)
    {
        $left = $right = $bottom = $top = 0.0;
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
                $y - $half < $top && $top = $y - $half;
                $lastX = $x;
            }
        }
        foreach ($beads as $mark) {
            // A turned bead reaches no farther than its longer side.
            $across = $mark->turn === 0.0 ? $mark->bead->widthMm : max($mark->bead->widthMm, $mark->bead->lengthMm);
            $left = min($left, $mark->xMm - $across / 2);
            $right = max($right, $mark->xMm + $across / 2);
            $tall = $mark->turn === 0.0 ? $mark->bead->lengthMm : $across;
            $middle = $mark->topMm + $mark->bead->lengthMm / 2;
            $bottom = max($bottom, $middle + $tall / 2);
            $top = min($top, $middle - $tall / 2);
        }
        [$this->left, $this->right, $this->bottom, $this->top] = [$left, $right, $bottom, $top];
    }

    /** The same, moved down so that its highest point is 0. */
    public function fromTop(): self
    {
        $down = new Pose(0.0, 0.0, -$this->top);

        return new self(
            array_map(fn (Stroke $stroke): Stroke => $stroke->posed($down), $this->strokes),
            array_map(fn (BeadMark $mark): BeadMark => $mark->posed($down), $this->beads),
        );
    }

    /** Bent to a part of a circle. */
    public function bent(Arc $arc): self
    {
        return new self(
            array_map(fn (Stroke $stroke): Stroke => $stroke->bent($arc), $this->strokes),
            array_map(fn (BeadMark $mark): BeadMark => $mark->bent($arc), $this->beads),
        );
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

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** A piece as geometry in millimetres: x from the middle line, y down from its highest point. */
final readonly class PieceFigure
{
    /** What is still seen of a width from aside. */
    private const EDGE = 0.16;

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
            $lastX = $lastY = 0.0;
            foreach ($stroke->path as $command) {
                $isArc = $command[0] === 'A';
                $x = (float) ($command[$isArc ? 4 : 1] ?? 0);
                $y = (float) ($command[$isArc ? 5 : 2] ?? 0);
                [$atX, $atY, $wide, $high] = [$x, $y, $half, $half];
                // Half a turn bulges to its side from the middle between its ends; less lies between them.
                if ($isArc && self::isHalfTurn($command, $x - $lastX, $y - $lastY)) {
                    [$rx, $ry, $turn] = [(float) $command[1], (float) $command[2], deg2rad((float) ($command[6] ?? 0))];
                    [$atX, $atY] = [($x + $lastX) / 2, ($y + $lastY) / 2];
                    $wide += hypot($rx * cos($turn), $ry * sin($turn));
                    $high += hypot($rx * sin($turn), $ry * cos($turn));
                }
                $atX - $wide < $left && $left = $atX - $wide;
                $atX + $wide > $right && $right = $atX + $wide;
                $atY + $high > $bottom && $bottom = $atY + $high;
                $atY - $high < $top && $top = $atY - $high;
                [$lastX, $lastY] = [$x, $y];
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

    /** @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $arc  to a point so far from where it begins */
    private static function isHalfTurn(array $arc, float $dx, float $dy): bool
    {
        [, $rx, $ry] = $arc;
        $turn = deg2rad((float) ($arc[6] ?? 0));

        return hypot(($dx * cos($turn) + $dy * sin($turn)) / max($rx, 1e-9), ($dy * cos($turn) - $dx * sin($turn)) / max($ry, 1e-9)) > 1.9;
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

    /** Seen along its face: nothing of its width is left but a narrow view from aside. */
    public function onEdge(): self
    {
        return new self(
            array_map(fn (Stroke $stroke): Stroke => $stroke->narrowed(self::EDGE), $this->strokes),
            array_map(fn (BeadMark $mark): BeadMark => new BeadMark($mark->bead, $mark->topMm, $mark->mark, self::EDGE * $mark->xMm, $mark->turn), $this->beads),
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

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * A piece as its parts and where each of them lies: what is made often is there but once. Millimetres: x from the
 * middle line, y down from its highest point. Its bounds are those of its parts' outlines.
 */
final class Assembly
{
    public readonly float $left;

    public readonly float $right;

    public readonly float $bottom;

    private readonly float $top;

    private ?PieceFigure $flat = null;

    /** @param  list<array{PieceFigure, Pose}>  $placed */
    public function __construct(public readonly array $placed)
    {
        $left = $right = $bottom = $top = 0.0;
        foreach ($placed as [$figure, $pose]) {
            $outline = $pose->degrees === 0.0 ? array_chunk($figure->reach(), 2) : $figure->outline();
            foreach ($outline as [$x, $y]) {
                [$atX, $atY] = $pose->at($x, $y);
                $atX < $left && $left = $atX;
                $atX > $right && $right = $atX;
                $atY < $top && $top = $atY;
                $atY > $bottom && $bottom = $atY;
            }
        }
        [$this->left, $this->right, $this->bottom, $this->top] = [$left, $right, $bottom, $top];
    }

    /** The same, moved down so that its highest point is 0. */
    public function fromTop(): self
    {
        $top = $this->top;

        return $top === 0.0
            ? $this
            : new self(array_map(fn (array $one): array => [$one[0], $one[1]->down(-$top)], $this->placed));
    }

    public function heightMm(): float
    {
        return $this->bottom;
    }

    public function widthMm(): float
    {
        return $this->right - $this->left;
    }

    /** Every stroke and bead where it lies. */
    public function flat(): PieceFigure
    {
        return $this->flat ??= self::laid($this->placed);
    }

    /** @return list<BeadMark> */
    public function beads(): array
    {
        return self::beadsOf($this->placed);
    }

    /**
     * Figures where they lie, as one.
     *
     * @param  list<array{PieceFigure, Pose}>  $placed
     */
    public static function laid(array $placed): PieceFigure
    {
        $strokes = [];
        foreach ($placed as [$figure, $pose]) {
            foreach ($figure->strokes as $stroke) {
                $strokes[] = $pose->isNone() ? $stroke : $stroke->posed($pose);
            }
        }

        return new PieceFigure($strokes, self::beadsOf($placed));
    }

    /**
     * @param  list<array{PieceFigure, Pose}>  $placed
     * @return list<BeadMark>
     */
    private static function beadsOf(array $placed): array
    {
        $beads = [];
        foreach ($placed as [$figure, $pose]) {
            foreach ($figure->beads as $bead) {
                $beads[] = $pose->isNone() ? $bead : $bead->posed($pose);
            }
        }

        return $beads;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * A shape pressed together to a share of what it was across, as a coil becomes oval; where it begins it stays. Cubic
 * curves pressed so are cubic curves (geometry: they are affine).
 */
final readonly class Squeezed implements Shape
{
    /** @param  Vector  $across  the direction it is pressed in, of length 1 */
    public function __construct(private Shape $shape, private Vector $across, private float $share)
    {
    }

    public function lengthMm(): float
    {
        return (new Curve($this->laid(Frame::down(0.0))[0]))->lengthMm();
    }

    public function laid(Frame $from): array
    {
        [$spans, $end] = $this->shape->laid($from);
        $at = fn (Vector $at): Vector => $from->at->plus($this->pressed($at->minus($from->at)));

        return [
            array_map(fn (Span $span): Span => new Span(
                $at($span->from), $at($span->first), $at($span->second), $at($span->to),
            ), $spans),
            $this->turned($end)->in($at($end->at)),
        ];
    }

    private function pressed(Vector $way): Vector
    {
        return $way->minus($this->across->times((1 - $this->share) * $way->dot($this->across)));
    }

    /** It runs on as it is pressed, and bends to the side nearest to where it did. */
    private function turned(Frame $end): Frame
    {
        $ahead = $this->pressed($end->ahead)->unit();
        $towards = $end->towards->minus($ahead->times($end->towards->dot($ahead)));

        return new Frame($end->at, $ahead, $towards->unit());
    }
}

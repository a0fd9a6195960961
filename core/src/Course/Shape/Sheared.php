<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * A flat shape whose end stands so many millimetres beside its beginning, out of its plane: both ends of a frame lie
 * side by side. It must be long beside that, so that its length stays its own.
 */
final readonly class Sheared implements Shape
{
    public function __construct(private Shape $shape, private float $besideMm)
    {
    }

    public function lengthMm(): float
    {
        return $this->shape->lengthMm();
    }

    public function laid(Frame $from): array
    {
        [$spans, $end] = $this->shape->laid($from);
        $all = max(1e-9, array_sum(array_map(fn (Span $span): float => $span->lengthMm(), $spans)));
        $beside = $from->beside();
        $gone = 0.0;
        $moved = [];
        foreach ($spans as $span) {
            $length = $span->lengthMm();
            $out = fn (Vector $at, float $share): Vector => $at->plus(
                $beside->times($this->besideMm * ($gone + $share * $length) / $all),
            );
            $moved[] = new Span(
                $out($span->from, 0.0), $out($span->first, 1 / 3), $out($span->second, 2 / 3), $out($span->to, 1.0),
            );
            $gone += $length;
        }

        return [$moved, $end->in($end->at->plus($beside->times($this->besideMm)))];
    }
}

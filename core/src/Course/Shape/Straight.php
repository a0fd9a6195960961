<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;

/** Straight on, millimetres. */
final readonly class Straight implements Shape
{
    public function __construct(private float $lengthMm)
    {
    }

    public function lengthMm(): float
    {
        return $this->lengthMm;
    }

    public function laid(Frame $from): array
    {
        $to = $from->on($this->lengthMm);

        return [[Span::straight($from->at, $to->at)], $to];
    }
}

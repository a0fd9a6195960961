<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/** One shape after the other, as one stretch. */
final readonly class Together implements Shape
{
    /** @var list<Shape> */
    private array $shapes;

    public function __construct(Shape ...$shapes)
    {
        $this->shapes = array_values($shapes);
    }

    public function lengthMm(): float
    {
        return array_sum(array_map(fn (Shape $shape): float => $shape->lengthMm(), $this->shapes));
    }

    public function laid(Frame $from): array
    {
        $all = [];
        foreach ($this->shapes as $shape) {
            [$spans, $from] = $shape->laid($from);
            array_push($all, ...$spans);
        }

        return [$all, $from];
    }
}

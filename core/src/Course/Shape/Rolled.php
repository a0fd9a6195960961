<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/** The same shape with its plane turned about the wire, degrees. */
final readonly class Rolled implements Shape
{
    public function __construct(public Shape $shape, public float $degrees)
    {
    }

    public function lengthMm(): float
    {
        return $this->shape->lengthMm();
    }

    public function laid(Frame $from): array
    {
        return $this->shape->laid($from->rolled(deg2rad($this->degrees)));
    }
}

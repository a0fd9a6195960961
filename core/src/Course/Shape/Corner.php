<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/**
 * Bent on the spot over the edge of a jaw, towards the side the wire bends to, degrees; away from it below 0. It takes
 * no length, as the trade reckons it.
 */
final readonly class Corner implements Shape
{
    public function __construct(private float $degrees)
    {
    }

    public function lengthMm(): float
    {
        return 0.0;
    }

    public function laid(Frame $from): array
    {
        return [[], $from->bent(deg2rad($this->degrees))];
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * Where a part hangs: the inside of the eye it hangs in, millimetres from the top, from the middle line and before the
 * plane of its part, and whether
 * its own top eye faces the viewer.
 */
final readonly class Placement
{
    public function __construct(
        public float $yMm, public bool $facing, public float $xMm = 0.0, public float $zMm = 0.0,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** Crimps that hold beads in their place from both sides: each so long and so wide, mm. */
final readonly class Crimped
{
    public function __construct(public float $lengthMm, public float $wideMm, public string $mark)
    {
    }
}

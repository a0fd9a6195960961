<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** Crimps that hold beads in their place, from both sides or one: each so long and so wide, mm. */
final readonly class Crimped
{
    public function __construct(
        private float $lengthMm, public float $wideMm, public string $mark, private bool $isBefore = true,
        private bool $isAfter = true,
    ) {
    }

    public function beforeMm(): float
    {
        return $this->isBefore ? $this->lengthMm : 0.0;
    }

    public function afterMm(): float
    {
        return $this->isAfter ? $this->lengthMm : 0.0;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Wire;

/** A bought finding that the piece takes. Lengths in millimetres: those of a head pin, 0 for anything else. */
final readonly class Finding
{
    public function __construct(
        public string $words,
        public Wire $wire,
        public int $each,
        public int $all,
        public float $lengthMm = 0.0,
        public float $trimmedMm = 0.0,
    ) {
    }

    public function isPin(): bool
    {
        return $this->lengthMm > 0;
    }
}

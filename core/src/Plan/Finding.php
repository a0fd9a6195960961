<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Wire;

/** A bought finding that the piece takes: in this version head pins of a stocked length. */
final readonly class Finding
{
    public function __construct(
        public string $words,
        public Wire $wire,
        public float $lengthMm,
        public float $trimmedMm,
        public int $each,
        public int $all,
    ) {
    }
}

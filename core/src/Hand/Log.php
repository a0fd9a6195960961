<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * One thing learned from: the ratio of what was used to what the sum says; a lower bound where the wire ran short by an
 * unknown amount.
 */
final readonly class Log
{
    public function __construct(
        public float $ratio,
        public bool $isBound = false,
        /** the maker wants it to count, however far off it lies */
        public bool $isPutBack = false,
    ) {
    }
}

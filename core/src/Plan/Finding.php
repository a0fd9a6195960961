<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Wire;

/**
 * A bought finding that the piece takes. Lengths in millimetres: those of a head pin, 0 for anything else; `takesMm` is
 * what one takes of a thing bought by length, 0 of what is counted. `stock` is what it is called in stock.
 */
final readonly class Finding
{
    public function __construct(
        public string $words,
        public Wire $wire,
        public int $each,
        public int $all,
        public float $lengthMm = 0.0,
        public float $trimmedMm = 0.0,
        public string $stock = '',
        public float $takesMm = 0.0,
    ) {
    }

    public function isByLength(): bool
    {
        return $this->takesMm > 0;
    }

    /** For the whole making: a count, or millimetres of what is bought by length. */
    public function taken(): float
    {
        return $this->isByLength() ? $this->all * $this->takesMm : (float) $this->all;
    }

    public function isPin(): bool
    {
        return $this->lengthMm > 0;
    }
}

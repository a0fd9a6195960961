<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\PinKind;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Wire;

/**
 * A bought finding that the piece takes. Lengths in millimetres: those of a pin, 0 for anything else; `takesMm` is
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
        public PinKind $pinKind = PinKind::Head,
    ) {
    }

    /** What a bought pin is called in stock, whatever ruler is read. */
    public static function pinInStock(float $lengthMm, Wire $wire, PinKind $kind): string
    {
        return $kind->words().' '.Figures::mm($lengthMm).', '.$wire->words();
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

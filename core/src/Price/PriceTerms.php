<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * What holds for every price: the tax in it, in whole percent, what the price of one ends in, and how many are sold at
 * once. Invariant: 0 to 60 %, one at least.
 */
final readonly class PriceTerms
{
    private function __construct(public int $taxPercent, public string $rounding, public int $many = 1)
    {
    }

    /** @throws OutOfRange|Unreadable outside the range, or of another ending */
    public static function of(int $taxPercent, string $rounding): self
    {
        $taxPercent >= 0 && $taxPercent <= 60 || throw OutOfRange::between('tax', "{$taxPercent} %", '0', '60 %');
        isset(Asking::ENDINGS[$rounding]) || throw Unreadable::choice(
            'rounding', $rounding, array_values(array_filter(array_keys(Asking::ENDINGS))),
        );

        return new self($taxPercent, $rounding);
    }

    /** The tax that is in a price: P·t ÷ (1 + t), rounded half up. */
    public function taxIn(int $cents): int
    {
        return intdiv(2 * $cents * $this->taxPercent + 100 + $this->taxPercent, 2 * (100 + $this->taxPercent));
    }

    public function times(int $many): self
    {
        return new self($this->taxPercent, $this->rounding, max(1, $many));
    }

    /** The price of all, at or above it, of which each one's ends as it should. */
    public function ending(int $cents): int
    {
        if ($this->rounding === '') {
            return $cents;
        }
        $each = intdiv($cents + $this->many - 1, $this->many);
        $price = intdiv($each, 100) * 100 + (int) substr($this->rounding, 1);

        return $this->many * ($price < $each ? $price + 100 : $price);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Quantity\OutOfRange;

/**
 * What is asked for a piece, or for several at once: what it costs with its overhead, the margin on that, a fee of the
 * price (a stall, a
 * card), tax that is in the price, and what the price is rounded up by. Whole cents; what a customer pays is the sum of
 * its parts to the cent. With base B, fee f and tax t in hundredths of the price: P = B ÷ (1 − f − t ÷ (1 + t)),
 * up to the
 * next ending [common practice: tax in the price is P·t ÷ (1 + t)].
 */
final readonly class Asking
{
    /** What prices end in, by what is chosen: nothing for as they come. */
    public const ENDINGS = ['' => 'as it comes', '.00' => '.00', '.50' => '.50', '.90' => '.90'];

    /** Fee and tax together take no more of a price, in percent. */
    public const MOST_TAKEN = 80;

    private function __construct(
        public int $costCents,
        public int $marginCents,
        public int $feeCents,
        public int $taxCents,
        public int $roundingCents,
    ) {
    }

    /**
     * @param  int  $costCents  with its overhead, of all that is sold
     *
     * @throws OutOfRange if fee and tax would take (almost) all of it
     */
    public static function of(int $costCents, PriceList $list, PriceTerms $terms): self
    {
        $margin = self::part($costCents, $list->marginPercent);
        $base = $costCents + $margin;
        $kept = 1.0 - $list->feePercent / 100 - $terms->taxPercent / (100 + $terms->taxPercent);
        $kept >= 1.0 - self::MOST_TAKEN / 100 || throw OutOfRange::between(
            'fee', "{$list->feePercent} % beside {$terms->taxPercent} % tax", '0', 'four fifths of the price together',
        );
        $price = $terms->ending((int) ceil($base / $kept - 1e-6));
        $fee = self::part($price, $list->feePercent);
        $tax = $terms->taxIn($price);

        return new self($costCents, $margin, $fee, $tax, $price - $base - $fee - $tax);
    }

    public function priceCents(): int
    {
        return $this->costCents + $this->marginCents + $this->feeCents + $this->taxCents + $this->roundingCents;
    }

    /** Of each of so many that are sold together, rounded up so that they never sell below their sum. */
    public function eachCents(int $pieces): int
    {
        return intdiv($this->priceCents() + $pieces - 1, $pieces);
    }

    private static function part(int $of, int $percent): int
    {
        return intdiv(2 * $of * $percent + 100, 200);
    }
}

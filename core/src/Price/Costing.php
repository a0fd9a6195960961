<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\OutOfRange;

/**
 * How a maker prices: an hour's pay and the packing of one piece in cents, overhead on what a piece costs, margin on
 * that, in whole percent; and how long it takes. Invariants: 0 to 1,000,000 cents; 0 to 500 %.
 */
final readonly class Costing
{
    private function __construct(
        public int $hourCents,
        public int $overheadPercent,
        public int $marginPercent,
        public int $packingCents,
        public PriceList $list,
        public PriceTerms $terms,
        private float $minutes = 0.0,
        private string $minutesFrom = '',
    ) {
    }

    /** @throws OutOfRange outside their ranges */
    public static function of(int $hourCents, int $overheadPercent, int $marginPercent, int $packingCents = 0): self
    {
        $packingCents >= 0 && $packingCents <= 1_000_000
            || throw OutOfRange::between('packing', (string) $packingCents, '0', '10000.00');
        $hourCents >= 0 && $hourCents <= 1_000_000
            || throw OutOfRange::between('hour', (string) $hourCents, '0', '10000.00');
        foreach (['overhead' => $overheadPercent, 'margin' => $marginPercent] as $field => $percent) {
            $percent >= 0 && $percent <= 500 || throw OutOfRange::between($field, "{$percent} %", '0', '500 %');
        }

        return new self(
            $hourCents, $overheadPercent, $marginPercent, $packingCents, PriceList::of('stall', $marginPercent, 0),
            PriceTerms::of(0, ''),
        );
    }

    /** The same, asked by this list and on these terms. */
    public function asking(PriceList $list, PriceTerms $terms): self
    {
        return new self(
            $this->hourCents, $this->overheadPercent, $list->marginPercent, $this->packingCents, $list, $terms,
            $this->minutes, $this->minutesFrom,
        );
    }

    /**
     * The same for what takes so many minutes.
     *
     * @param  string  $from  where they come from, in words
     */
    public function taking(float $minutes, string $from): self
    {
        return new self(
            $this->hourCents, $this->overheadPercent, $this->marginPercent, $this->packingCents, $this->list,
            $this->terms, $minutes, $from,
        );
    }

    /** On what a piece costs. */
    public function overheadCents(int $costCents): int
    {
        return self::halfUp($costCents * $this->overheadPercent, 100);
    }

    /** @return list<BillLine> none where packing costs nothing */
    public function packed(int $pieces): array
    {
        return $this->packingCents === 0 ? [] : [new BillLine(
            'packing', 'packing', (string) $pieces, Money::fromCents($this->packingCents)->text().' a piece',
            $this->packingCents * $pieces,
        )];
    }

    public function worked(): BillLine
    {
        return new BillLine(
            'time', 'time at the bench', Figures::trim($this->minutes, 0).' min',
            Money::fromCents($this->hourCents)->text().' an hour, '.$this->minutesFrom,
            self::halfUp((int) round($this->minutes * 100) * $this->hourCents, 6000),
        );
    }

    private static function halfUp(int $of, int $by): int
    {
        return intdiv(2 * $of + $by, 2 * $by);
    }

    /** What stands until a maker gives their own [memory]. */
    public static function usual(): self
    {
        return self::of(2200, 12, 30);
    }
}

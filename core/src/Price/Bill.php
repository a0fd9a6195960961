<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Plan\Metal;
use Hebra\Core\Plan\Plan;

/**
 * What a making takes and costs: metal as it is cut (gross), beads and findings, time; overhead on their sum, and
 * what is asked for that. Whole cents; each line is rounded half up once, and what it all comes to is the sum of the
 * lines as they stand.
 */
final readonly class Bill
{
    /** @param  list<BillLine>  $lines */
    private function __construct(
        public array $lines,
        public int $costCents,
        public int $overheadCents,
        public Asking $asking,
        public int $pieces,
        public float $grossGrams,
        public float $netGrams,
        /** how many lines have no price */
        public int $unpriced,
    ) {
    }

    public static function of(Plan $plan, Prices $prices, Costing $costing): self
    {
        $makes = $plan->piece->makes;
        $lines = [...$prices->lines($plan), ...$costing->packed($makes->count), $costing->worked()];
        $cost = array_sum(array_map(fn (BillLine $line): int => $line->cents ?? 0, $lines));
        $overhead = $costing->overheadCents($cost);

        return new self(
            $lines, $cost, $overhead,
            Asking::of($cost + $overhead, $costing->list, $costing->terms->times($makes->sold())), $makes->count,
            array_sum(array_map(fn (Metal $metal): float => $metal->grossGrams(), $plan->metal)),
            array_sum(array_map(fn (Metal $metal): float => $metal->netGrams(), $plan->metal)),
            count(array_filter($lines, fn (BillLine $line): bool => $line->cents === null)),
        );
    }

    public function totalCents(): int
    {
        return $this->asking->priceCents();
    }

    public function eachCents(): int
    {
        return $this->asking->eachCents($this->pieces);
    }

    /** Net of gross. */
    public function yield(): float
    {
        return $this->grossGrams > 0 ? $this->netGrams / $this->grossGrams : 1.0;
    }
}

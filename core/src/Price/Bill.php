<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Wire\Wire;

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

    /**
     * @param  array<string, UnitPrice|null>  $beadPrices  of one, by the bead's key
     * @param  array<string, UnitPrice|null>  $findingPrices  of one, or a metre, by what it is called in stock
     * @param  string  $day  `2026-11-25`
     * @param  string  $timeFrom  where the minutes come from, in words
     */
    public static function of(
        Plan $plan, MetalPrices $prices, string $day, Costing $costing, float $minutes, array $beadPrices,
        string $timeFrom, array $findingPrices = [],
    ): self {
        $lines = [];
        $gross = $net = 0.0;
        $inPins = self::pricedPins($plan, $findingPrices);
        foreach ($plan->metal as $metal) {
            [$gross, $net] = [$gross + $metal->grossGrams(), $net + $metal->netGrams()];
            $grams = max(0.0, $metal->grossGrams() - ($inPins[$metal->wire->key()] ?? 0.0));
            $inPins[$metal->wire->key()] = 0.0;
            if ($grams > 0.0005) {
                $lines[] = self::metal($metal->wire, $grams, $prices, $day);
            }
        }
        foreach ($plan->beads as $bead) {
            $each = $beadPrices[$bead->bead->key()] ?? null;
            $lines[] = new BillLine(
                'bead',
                $bead->bead->words(),
                (string) $bead->all,
                $each === null ? 'no price' : $each->text().' each',
                $each?->centsFor($bead->all),
                $bead->bead->key(),
                'each',
            );
        }
        foreach ($plan->findings as $finding) {
            $price = $findingPrices[$finding->stock] ?? null;
            // A head pin without a price is its metal, above.
            if (! $finding->isPin() || $price !== null) {
                $lines[] = self::finding($finding, $price);
            }
        }
        if ($costing->packingCents > 0) {
            $lines[] = new BillLine(
                'packing',
                'packing',
                (string) $plan->piece->makes->count,
                Money::fromCents($costing->packingCents)->text().' a piece',
                $costing->packingCents * $plan->piece->makes->count,
            );
        }
        $lines[] = new BillLine(
            'time',
            'time at the bench',
            Figures::trim($minutes, 0).' min',
            Money::fromCents($costing->hourCents)->text().' an hour, '.$timeFrom,
            self::halfUp((int) round($minutes * 100) * $costing->hourCents, 6000),
        );
        $cost = array_sum(array_map(fn (BillLine $line): int => $line->cents ?? 0, $lines));
        $overhead = self::halfUp($cost * $costing->overheadPercent, 100);

        $asking = Asking::of(
            $cost + $overhead, $costing->list, $costing->terms->times($plan->piece->makes->sold()),
        );

        return new self($lines, $cost, $overhead, $asking, $plan->piece->makes->count, $gross, $net,
            count(array_filter($lines, fn (BillLine $line): bool => $line->cents === null)));
    }

    private static function metal(Wire $wire, float $grams, MetalPrices $prices, string $day): BillLine
    {
        $at = $prices->perGramE4($wire, $day);

        return new BillLine(
            'metal', $wire->words(), Figures::grams($grams),
            $at === null ? 'no price' : UnitPrice::fromE4($at)->text().' a gram, '.$prices->source($wire, $day),
            $at === null ? null : UnitPrice::fromE4($at)->centsFor((int) round($grams * 1000), 1000),
        );
    }

    /**
     * Bought pins that have a price are paid for by the piece, and their metal no more by the gram.
     *
     * @param  array<string, UnitPrice|null>  $prices
     * @return array<string, float> grams by wire
     */
    private static function pricedPins(Plan $plan, array $prices): array
    {
        $grams = [];
        foreach ($plan->findings as $finding) {
            if ($finding->isPin() && isset($prices[$finding->stock])) {
                $key = $finding->wire->key();
                $grams[$key] = ($grams[$key] ?? 0.0) + $finding->wire->gramsOf($finding->lengthMm * $finding->all);
            }
        }

        return $grams;
    }

    private static function finding(Finding $finding, ?UnitPrice $price): BillLine
    {
        $per = $finding->isByLength() ? 'a metre' : 'each';
        $micrometres = (int) round($finding->taken() * 1000);
        $cents = $finding->isByLength() ? $price?->centsFor($micrometres, 1_000_000) : $price?->centsFor($finding->all);

        return new BillLine(
            'finding',
            $finding->words,
            (string) $finding->all,
            $price === null ? 'no price' : $price->text()." {$per}",
            $cents,
            $finding->stock,
            $per,
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

    private static function halfUp(int $of, int $by): int
    {
        return intdiv(2 * $of + $by, 2 * $by);
    }
}

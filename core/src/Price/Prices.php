<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Wire\Wire;

/** What things cost on a day, and so what is paid for all that a piece takes. */
final readonly class Prices
{
    /** Less metal than this, in grams, is none. */
    private const NONE_GRAMS = 0.0005;

    /**
     * @param  string  $day  `2026-11-25`
     * @param  array<string, UnitPrice|null>  $beads  of one, by the bead's key
     * @param  array<string, UnitPrice|null>  $findings  of one, or a metre, by what it is called in stock
     */
    public function __construct(
        private MetalPrices $metals, private string $day, private array $beads = [], private array $findings = [],
    ) {
    }

    /** @return list<BillLine> metal, beads, findings */
    public function lines(Plan $plan): array
    {
        return [
            ...$this->metals($plan), ...array_map($this->bead(...), $plan->beads), ...$this->findings($plan),
        ];
    }

    /** @return list<BillLine> */
    private function metals(Plan $plan): array
    {
        $lines = [];
        $inPins = $this->pricedPins($plan);
        foreach ($plan->metal as $metal) {
            $grams = max(0.0, $metal->grossGrams() - ($inPins[$metal->wire->key()] ?? 0.0));
            $inPins[$metal->wire->key()] = 0.0;
            if ($grams > self::NONE_GRAMS) {
                $lines[] = $this->metal($metal->wire, $grams);
            }
        }

        return $lines;
    }

    /**
     * Bought pins that have a price are paid for by the piece, and their metal no more by the gram.
     *
     * @return array<string, float> grams by wire
     */
    private function pricedPins(Plan $plan): array
    {
        $grams = [];
        foreach ($plan->findings as $finding) {
            if ($finding->isPin() && isset($this->findings[$finding->stock])) {
                $key = $finding->wire->key();
                $grams[$key] = ($grams[$key] ?? 0.0) + $finding->wire->gramsOf($finding->lengthMm * $finding->all);
            }
        }

        return $grams;
    }

    private function metal(Wire $wire, float $grams): BillLine
    {
        $at = $this->metals->perGramE4($wire, $this->day);

        return new BillLine(
            'metal', $wire->words(), Figures::grams($grams),
            $at === null
                ? 'no price'
                : UnitPrice::fromE4($at)->text().' a gram, '.$this->metals->source($wire, $this->day),
            $at === null ? null : UnitPrice::fromE4($at)->centsFor((int) round($grams * 1000), 1000),
        );
    }

    private function bead(BeadCount $bead): BillLine
    {
        $each = $this->beads[$bead->bead->key()] ?? null;

        return new BillLine(
            'bead', $bead->bead->words(), (string) $bead->all, $each === null ? 'no price' : $each->text().' each',
            $each?->centsFor($bead->all), $bead->bead->key(), 'each',
        );
    }

    /** @return list<BillLine> a head pin without a price is its metal */
    private function findings(Plan $plan): array
    {
        return array_map($this->finding(...), array_values(array_filter(
            $plan->findings,
            fn (Finding $finding): bool => ! $finding->isPin() || isset($this->findings[$finding->stock]),
        )));
    }

    private function finding(Finding $finding): BillLine
    {
        $price = $this->findings[$finding->stock] ?? null;
        $per = $finding->isByLength() ? 'a metre' : 'each';
        $micrometres = (int) round($finding->taken() * 1000);
        $cents = $finding->isByLength() ? $price?->centsFor($micrometres, 1_000_000) : $price?->centsFor($finding->all);

        return new BillLine(
            'finding', $finding->words, (string) $finding->all,
            $price === null ? 'no price' : $price->text()." {$per}", $cents, $finding->stock, $per,
        );
    }
}

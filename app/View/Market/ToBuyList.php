<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Workshop;
use App\Read\Holdings;
use App\View\Coins;
use App\View\Stock\CoilDrawing;
use App\View\Stock\Heap;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Market\Needs;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Price\MetalPrices;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Wire;

/**
 * What all that is planned takes beyond what there is and is not kept for other pieces: wire in whole metres as it is
 * sold, beads with their spares, findings.
 *
 * @phpstan-type Row array{
 *     kind: string, words: string, wanted: string, owned: string, buy: string, left: string, cents: int|null,
 *     coil: CoilDrawing|null, heap: Heap|null,
 * }
 */
final class ToBuyList
{
    private const METRE_MM = 1000.0;

    /** @var list<Row> */
    public array $rows = [];

    private readonly Holdings $held;

    private readonly MetalPrices $prices;

    private function __construct(private readonly Workshop $workshop)
    {
        $this->held = new Holdings($workshop);
        $this->prices = $workshop->metalPrices();
    }

    /** All of it, wire too. */
    public static function of(Workshop $workshop, Needs $needs): self
    {
        $list = new self($workshop);
        foreach ($needs->wires as $need) {
            $list->wire($need['wire'], $need['mm']);
        }
        $list->beadsAndFindings($needs);

        return $list;
    }

    /** Beads and findings: wire to be bought stands in the cutting plan itself. */
    public static function besideWire(Workshop $workshop, Needs $needs): self
    {
        $list = new self($workshop);
        $list->beadsAndFindings($needs);

        return $list;
    }

    private function beadsAndFindings(Needs $needs): void
    {
        foreach ($needs->beads as $need) {
            $this->bead($need);
        }
        foreach ($needs->findings as $need) {
            $this->finding($need['finding'], $need['amount']);
        }
    }

    private function wire(Wire $wire, float $mm): void
    {
        $held = $this->held->wireMm($wire);
        if ($mm <= $held + 1e-6) {
            return;
        }
        $metres = ceil(($mm - $held) / self::METRE_MM);
        $perGram = $this->prices->perGramE4($wire, now()->format('Y-m-d'));
        $cents = $perGram === null ? null : (int) round($perGram * $wire->gramsOf($metres * self::METRE_MM) / 100);
        $this->rows[] = [
            'kind' => 'wire', 'words' => $wire->words(), 'wanted' => $this->workshop->profile()->length($mm),
            'owned' => $this->workshop->profile()->length($held),
            'buy' => Figures::trim($metres).' m, '.Figures::grams($wire->gramsOf($metres * self::METRE_MM)),
            'left' => $this->workshop->profile()->length($held + $metres * self::METRE_MM - $mm),
            'cents' => $cents, 'coil' => CoilDrawing::whole($wire->widthMm(), $wire->metal->value), 'heap' => null,
        ];
    }

    /** @param  array{bead: Bead, count: int, spares: int}  $need */
    private function bead(array $need): void
    {
        [$bead, $wanted] = [$need['bead'], $need['count'] + $need['spares']];
        $held = $this->held->beads($bead->key());
        $short = $wanted - $held;
        if ($short > 0) {
            $this->rows[] = [
                'kind' => 'bead', 'words' => $bead->words(), 'wanted' => (string) $wanted, 'owned' => (string) $held,
                'buy' => (string) $short, 'left' => $need['spares'] === 0 ? '' : "{$need['spares']} spare",
                'cents' => $this->held->beadPrice($bead->key())?->centsFor($short), 'coil' => null,
                'heap' => Heap::of($bead, $short),
            ];
        }
    }

    private function finding(Finding $finding, float $wanted): void
    {
        $held = $this->held->findings($finding);
        $short = $wanted - $held;
        if ($short <= 1e-6) {
            return;
        }
        $words = $finding->isByLength()
            ? $this->workshop->profile()->length(...)
            : fn (float $count): string => (string) (int) round($count);
        $price = $this->held->findingPrice($finding);
        $this->rows[] = [
            'kind' => 'finding', 'words' => $finding->isPin() ? $finding->words : $finding->stock,
            'wanted' => $words($wanted), 'owned' => $words($held), 'buy' => $words($short), 'left' => '',
            'cents' => $finding->isByLength()
                ? $price?->centsFor((int) round($short * 1000), 1_000_000)
                : $price?->centsFor((int) ceil($short)),
            'coil' => null, 'heap' => null,
        ];
    }

    /** `61.40`, and how many of it have no price. */
    public function sum(): string
    {
        $priced = array_filter(array_column($this->rows, 'cents'), fn (?int $cents): bool => $cents !== null);
        $without = count($this->rows) - count($priced);

        return Coins::text((int) array_sum($priced)).($without > 0 ? ", {$without} without a price" : '');
    }
}

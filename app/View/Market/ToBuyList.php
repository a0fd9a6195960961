<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Bead;
use App\Models\Lot;
use App\Models\Supply;
use App\Models\Workshop;
use App\Read\CuttingDesk;
use App\View\Stock\CoilDrawing;
use App\View\Stock\Heap;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Market\Needs;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Price\Bill;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;

/**
 * What all that is planned takes beyond what there is and is not kept for other pieces: wire in whole metres as it is
 * sold, beads with their spares, findings.
 *
 * @phpstan-type Row array{kind: string, words: string, wanted: string, owned: string, buy: string, cents: int|null, coil: CoilDrawing|null, heap: Heap|null}
 */
final class ToBuyList
{
    private const METRE_MM = 1000.0;

    /** @var list<Row> */
    public array $rows = [];

    public function __construct(private readonly Workshop $workshop, Needs $needs)
    {
        /** @var Collection<int, Lot> $lots */
        $lots = $workshop->lots()->withHeld()->get();
        foreach ($needs->wires as $need) {
            $this->wire($need['wire'], $need['mm'], $lots);
        }
        $beads = $workshop->beads()->get();
        foreach ($needs->beads as $key => $need) {
            $own = $beads->filter(fn (Bead $one): bool => $one->core()->key() === $key)->values();
            $this->bead($need['bead'], $need['count'] + $need['spares'], $own);
        }
        $supplies = $workshop->supplies()->get();
        foreach ($needs->findings as $need) {
            $this->finding($need['finding'], $need['amount'], $supplies, $lots);
        }
    }

    /** @param  Collection<int, Lot>  $lots */
    private function wire(Wire $wire, float $mm, Collection $lots): void
    {
        $spoken = CuttingDesk::spokenFor($this->workshop);
        $own = $lots->filter(fn (Lot $lot): bool => ! $lot->isPins() && $lot->wire()->words() === $wire->words());
        $held = $own->sum(fn (Lot $lot): float => max(0.0, $lot->heldMm() - ($spoken[$lot->id]['mm'] ?? 0.0)));
        if ($mm <= $held + 1e-6) {
            return;
        }
        $metres = ceil(($mm - $held) / self::METRE_MM);
        $perGram = $this->workshop->metalPrices()->perGramE4($wire, now()->format('Y-m-d'));
        $cents = $perGram === null ? null : (int) round($perGram * $wire->gramsOf($metres * self::METRE_MM) / 100);
        $this->rows[] = [
            'kind' => 'wire', 'words' => $wire->words(), 'wanted' => $this->workshop->profile()->length($mm),
            'owned' => $this->workshop->profile()->length($held), 'buy' => Figures::trim($metres).' m',
            'cents' => $cents, 'coil' => CoilDrawing::whole($wire->widthMm(), $wire->metal->value), 'heap' => null,
        ];
    }

    /** @param  Collection<int, Bead>  $own */
    private function bead(CoreBead $bead, int $wanted, Collection $own): void
    {
        $short = $wanted - (int) $own->sum('owned');
        if ($short > 0) {
            $price = $own->first()?->price();
            $this->rows[] = [
                'kind' => 'bead', 'words' => $bead->words(), 'wanted' => (string) $wanted,
                'owned' => (string) $own->sum('owned'), 'buy' => (string) $short,
                'cents' => $price?->centsFor($short), 'coil' => null, 'heap' => Heap::of($bead, $short),
            ];
        }
    }

    /**
     * @param  Collection<int, Supply>  $supplies
     * @param  Collection<int, Lot>  $lots
     */
    private function finding(Finding $finding, float $wanted, Collection $supplies, Collection $lots): void
    {
        $own = $supplies->filter(
            fn (Supply $one): bool => $one->isCalled($finding->stock) && $one->isByLength() === $finding->isByLength(),
        );
        $held = $finding->isPin()
            ? (float) $lots->filter(fn (Lot $lot): bool => $lot->isPinOf($finding))->sum(
                fn (Lot $lot): int => $lot->heldPins(),
            )
            : $own->sum('held') / ($finding->isByLength() ? 1000 : 1);
        $short = $wanted - $held;
        if ($short <= 1e-6) {
            return;
        }
        $words = $finding->isByLength()
            ? $this->workshop->profile()->length(...)
            : fn (float $count): string => (string) (int) round($count);
        $price = $own->first()?->price();
        $this->rows[] = [
            'kind' => 'finding', 'words' => $finding->isPin() ? $finding->words : $finding->stock,
            'wanted' => $words($wanted), 'owned' => $words($held), 'buy' => $words($short),
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

        return Bill::cents((int) array_sum($priced)).($without > 0 ? ", {$without} without a price" : '');
    }
}

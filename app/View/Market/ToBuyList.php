<?php

declare(strict_types=1);

namespace App\View\Market;

use App\Models\Bead;
use App\Models\Lot;
use App\Models\Supply;
use App\Models\Workshop;
use App\Read\CuttingDesk;
use App\View\Coins;
use App\View\Stock\CoilDrawing;
use App\View\Stock\Heap;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Market\Needs;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;

/**
 * What all that is planned takes beyond what there is and is not kept for other pieces: wire in whole metres as it is
 * sold, beads with their spares, findings.
 *
 * @phpstan-type Row array{
 *     kind: string, words: string, wanted: string, owned: string, buy: string, cents: int|null,
 *     coil: CoilDrawing|null, heap: Heap|null,
 * }
 */
final class ToBuyList
{
    private const METRE_MM = 1000.0;

    /** @var list<Row> */
    public array $rows = [];

    /** @var Collection<int, Lot>|null */
    private ?Collection $lots = null;

    /** @var array<int, array{mm: float, for: list<string>}> kept for pieces, by lot */
    private array $spoken = [];

    private function __construct(private readonly Workshop $workshop)
    {
    }

    /** All of it, wire too. */
    public static function of(Workshop $workshop, Needs $needs): self
    {
        $list = self::besideWire($workshop, $needs);
        $rows = $list->rows;
        $list->rows = [];
        foreach ($needs->wires as $need) {
            $list->wire($need['wire'], $need['mm']);
        }
        $list->rows = [...$list->rows, ...$rows];

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
        $beads = $this->workshop->beads()->get();
        foreach ($needs->beads as $key => $need) {
            $own = $beads->filter(fn (Bead $one): bool => $one->core()->key() === $key)->values();
            $this->bead($need['bead'], $need['count'] + $need['spares'], $own);
        }
        $supplies = $this->workshop->supplies()->get();
        foreach ($needs->findings as $need) {
            $this->finding($need['finding'], $need['amount'], $supplies);
        }
    }

    /** @return Collection<int, Lot> */
    private function lots(): Collection
    {
        if ($this->lots === null) {
            /** @var Collection<int, Lot> $lots */
            $lots = $this->workshop->lots()->withHeld()->get();
            [$this->lots, $this->spoken] = [$lots, CuttingDesk::spokenFor($this->workshop)];
        }

        return $this->lots;
    }

    private function wire(Wire $wire, float $mm): void
    {
        $isOfIt = fn (Lot $lot): bool => ! $lot->isPins() && $lot->isOf($wire) && $lot->temper === $wire->temper->value;
        $own = $this->lots()->filter($isOfIt);
        $held = $own->sum(fn (Lot $lot): float => max(0.0, $lot->heldMm() - ($this->spoken[$lot->id]['mm'] ?? 0.0)));
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

    /** @param  Collection<int, Supply>  $supplies */
    private function finding(Finding $finding, float $wanted, Collection $supplies): void
    {
        $own = $supplies->filter(
            fn (Supply $one): bool => $one->isOf($finding),
        );
        $perUnit = $finding->isByLength() ? 1000 : 1;
        $held = $finding->isPin() ? $this->pins($finding) : $own->sum('held') / $perUnit;
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

    private function pins(Finding $finding): float
    {
        $own = $this->lots()->filter(fn (Lot $lot): bool => $lot->isPinOf($finding));

        return (float) $own->sum(fn (Lot $lot): int => $lot->heldPins());
    }

    /** `61.40`, and how many of it have no price. */
    public function sum(): string
    {
        $priced = array_filter(array_column($this->rows, 'cents'), fn (?int $cents): bool => $cents !== null);
        $without = count($this->rows) - count($priced);

        return Coins::text((int) array_sum($priced)).($without > 0 ? ", {$without} without a price" : '');
    }
}

<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Bead;
use App\Models\Lot;
use App\Models\Supply;
use App\Models\Workshop;
use Hebra\Core\Market\Needs;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;

/** What a workshop has and is not kept for other pieces, read once and asked often. */
final class Holdings
{
    private const SAME = 1e-6;

    /** @var Collection<int, Lot> */
    private readonly Collection $lots;

    /** @var array<int, array{mm: float, for: list<string>}> kept for pieces, by lot */
    private readonly array $spoken;

    /** @var Collection<string, Collection<int, Bead>> by the bead’s key */
    private readonly Collection $beads;

    /** @var Collection<int, Supply> */
    private readonly Collection $supplies;

    public function __construct(Workshop $workshop)
    {
        /** @var Collection<int, Lot> $lots */
        $lots = $workshop->lots()->withHeld()->get();
        $this->lots = $lots;
        $this->spoken = CuttingDesk::spokenFor($workshop);
        /** @var Collection<string, Collection<int, Bead>> $beads */
        $beads = $workshop->beads()->get()->groupBy(fn (Bead $bead): string => $bead->core()->key());
        $this->beads = $beads;
        $this->supplies = $workshop->supplies()->get();
    }

    /** Millimetres of a wire of this temper. */
    public function wireMm(Wire $wire): float
    {
        return (float) $this->lots->filter(
            fn (Lot $lot): bool => ! $lot->isPins() && $lot->isOf($wire) && $lot->temper === $wire->temper->value,
        )->sum(fn (Lot $lot): float => max(0.0, $lot->heldMm() - ($this->spoken[$lot->id]['mm'] ?? 0.0)));
    }

    public function beads(string $key): int
    {
        return (int) ($this->beads->get($key)?->sum('owned') ?? 0);
    }

    public function beadPrice(string $key): ?UnitPrice
    {
        return $this->beads->get($key)?->first()?->price();
    }

    /** Pieces of it, or millimetres where it is by length. */
    public function findings(Finding $finding): float
    {
        if ($finding->isPin()) {
            return (float) $this->lots->filter(fn (Lot $lot): bool => $lot->isPinOf($finding))
                ->sum(fn (Lot $lot): int => $lot->heldPins());
        }

        return $this->of($finding)->sum('held') / ($finding->isByLength() ? 1000 : 1);
    }

    public function findingPrice(Finding $finding): ?UnitPrice
    {
        return $finding->isPin() ? null : $this->of($finding)->first()?->price();
    }

    /** @return Collection<int, Supply> */
    private function of(Finding $finding): Collection
    {
        return $this->supplies->filter(fn (Supply $supply): bool => $supply->isOf($finding));
    }

    /** What is short for all of it first, in words; empty where there is enough. Spares are not missed. */
    public function lacks(Needs $needs): string
    {
        foreach ($needs->wires as $need) {
            if ($need['mm'] > $this->wireMm($need['wire']) + self::SAME) {
                return $need['wire']->words();
            }
        }
        foreach ($needs->beads as $key => $need) {
            if ($need['count'] > $this->beads($key)) {
                return $need['bead']->words();
            }
        }
        foreach ($needs->findings as $need) {
            if ($need['amount'] > $this->findings($need['finding']) + self::SAME) {
                return $need['finding']->isPin() ? $need['finding']->words : $need['finding']->stock;
            }
        }

        return '';
    }
}

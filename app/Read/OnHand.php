<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Reservation;
use App\Models\Supply as OwnSupply;
use App\Models\Workshop;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\Wire;
use Illuminate\Support\Collection;

/**
 * What the stock has for a piece: which lots its cuts could come from, how many of its beads and findings there are.
 */
final class OnHand
{
    public function __construct(
        private readonly Piece $piece,
        private readonly Workshop $workshop,
        private readonly Profile $profile,
    ) {
    }

    /** @var Collection<int, Lot>|null */
    private ?Collection $lots = null;

    /** @return Collection<int, Lot> */
    public function lots(): Collection
    {
        return $this->lots ??= $this->workshop->lots()->withHeld()->get()->filter(
            fn (Lot $lot): bool => $lot->heldMg() > 0,
        )->values();
    }

    /**
     * Lots that a cut could come from: same metal and size first of all, smallest sufficient first.
     *
     * @return list<Lot>
     */
    public function lotsFor(Cut $cut): array
    {
        $wanted = $cut->pinMm ?? $this->profile->ruler->upMm($cut->lengthMm());

        return array_values($this->lots()
            ->filter(fn (Lot $lot): bool => $lot->isPins() === $cut->isBoughtPin()
                && $lot->isOf($cut->wire)
                && (! $lot->isPins() || ($lot->kind === $cut->pinKind->value && abs($lot->pinMm() - $wanted) < 0.5)))
            ->sortBy(
                [fn (Lot $a, Lot $b): int => [$a->temper !== $cut->wire->temper->value, $a->heldMg()] <=> [
                    $b->temper !== $cut->wire->temper->value, $b->heldMg(),
                ]],
            )
            ->all());
    }

    /** @return list<CutShare> the rows of the log: what was ticked off from several lots has several */
    public function shares(Plan $plan): array
    {
        /** @var Collection<int, CutTick> $ticks */
        $ticks = CutTick::query()->where('piece_id', $this->piece->id)->orderBy('id')->get();

        return array_merge(...array_map(fn (Cut $cut): array => CutShare::of($cut, $ticks), $plan->strips()));
    }

    /**
     * The lot first offered for a share: that from which it was ticked off, else where it was reserved, else the
     * smallest that holds all of it.
     */
    public function lotOffered(CutShare $share): ?Lot
    {
        $cut = $share->cut;
        $kept = $share->lotId ?? Reservation::query()->where(
            'piece_id',
            $this->piece->id,
        )->where('cut', $cut->key())->where('count', '>=', $share->count)->value('lot_id');
        $from = $kept === null ? null : $this->lots()->first(fn (Lot $lot): bool => $lot->id === (int) $kept);
        if ($from !== null) {
            return $from;
        }
        $wanted = $share->count * $cut->grossMm($this->profile->ruler) - $cut->trimMm();
        foreach ($this->lotsFor($cut) as $lot) {
            $enough = $lot->isPins() ? $lot->heldPins() >= $share->count : $lot->heldMm() >= $wanted;
            // An offcut shorter than one cut holds nothing of use, whatever its sum.
            if ($enough && $lot->temper === $cut->wire->temper->value) {
                return $lot;
            }
        }

        return null;
    }

    /**
     * Millimetres of one wire in stock, over its coils and those offcuts from which a cut of that length can still
     * come.
     */
    public function ownedMm(Wire $wire, float $cutMm = 0.0): float
    {
        return (float) $this->lots()
            ->filter(
                fn (
                    Lot $lot,
                ): bool => ! $lot->isPins()
                    && $lot->heldMm() >= $cutMm
                    && $lot->isOf($wire)
                    && $lot->temper === $wire->temper->value,
            )
            ->sum(fn (Lot $lot): float => $lot->heldMm());
    }

    /**
     * How many of a finding are in stock, or millimetres of what is bought by length; null of what the stock does not
     * know.
     */
    public function owned(Finding $finding): ?float
    {
        if (! $finding->isPin()) {
            /** @var OwnSupply|null $supply */
            $supply = $this->workshop->supplies()->get()->first(
                fn (OwnSupply $supply): bool => $supply->isOf($finding),
            );

            $each = $finding->isByLength() ? 1000 : 1;

            return $supply === null ? null : $supply->held / $each;
        }

        return (float) $this->lots()
            ->filter(
                fn (Lot $lot): bool => $lot->isPinOf($finding),
            )
            ->sum(fn (Lot $lot): int => $lot->heldPins());
    }

    /** @var array<string, int>|null how many are owned, by a bead's key */
    private ?array $beads = null;

    public function ownedBeads(CoreBead $bead): int
    {
        if ($this->beads === null) {
            $this->beads = [];
            foreach ($this->workshop->beads()->get() as $own) {
                $key = $own->core()->key();
                $this->beads[$key] = ($this->beads[$key] ?? 0) + $own->owned;
            }
        }

        return $this->beads[$bead->key()] ?? 0;
    }

    /** @return Collection<int, OwnSupply> what a finished piece may be packed in */
    public function packing(): Collection
    {
        /** @var Collection<int, OwnSupply> $packing */
        $packing = $this->workshop->supplies()->where('kind', 'packing')->where('held', '>', 0)->orderBy('name')->get();

        return $packing;
    }
}

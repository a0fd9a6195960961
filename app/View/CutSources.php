<?php

declare(strict_types=1);

namespace App\View;

use App\Models\CutTick;
use App\Models\Lot;
use App\Read\CuttingDesk;
use Hebra\Core\Plan\Cut;
use Illuminate\Support\Collection;

/** Which lot each kind of cut of a piece comes from, one after the other: what one takes the next does not find. */
final class CutSources
{
    /** @var array<int, float> what is left, by lot: millimetres, or pins */
    private array $left = [];

    private function __construct(private readonly CuttingDesk $cutting)
    {
    }

    /** @return list<CutSource> in the order of the strips */
    public static function of(Desk $desk): array
    {
        $sources = new self(new CuttingDesk($desk->workshop, new Collection([$desk->piece]), isPlanned: false));
        $ticked = CutTick::query()->where('piece_id', $desk->piece->id)->where('is_spoiled', false)
            ->selectRaw('cut, COUNT(*) AS many')->groupBy('cut')->pluck('many', 'cut');

        return array_map(
            fn (Cut $cut): CutSource => $sources->from(
                $desk, $cut, min($cut->count, (int) ($ticked[$cut->key()] ?? 0)),
            ),
            $desk->plan->strips(),
        );
    }

    private function from(Desk $desk, Cut $cut, int $ticked): CutSource
    {
        $takes = ($cut->count - $ticked) * ($cut->isBoughtPin() ? 1 : $cut->grossMm($desk->profile->ruler));
        $lots = $desk->onHand->lotsFor($cut);
        foreach ($lots as $lot) {
            $this->left[$lot->id] ??= $lot->isPins() ? (float) $lot->heldPins() : $this->cutting->leftMm($lot);
        }
        $lot = $this->bestOf($lots, $takes);
        $before = $lot === null ? 0.0 : $this->left[$lot->id];
        if ($lot !== null) {
            $this->left[$lot->id] -= $takes;
        }

        return new CutSource($cut, $ticked, $lot, $before, $takes);
    }

    /**
     * The first that has enough, else the one with most left.
     *
     * @param  list<Lot>  $lots
     */
    private function bestOf(array $lots, float $takes): ?Lot
    {
        foreach ($lots as $lot) {
            if ($this->left[$lot->id] >= $takes) {
                return $lot;
            }
        }
        usort($lots, fn (Lot $one, Lot $other): int => $this->left[$other->id] <=> $this->left[$one->id]);

        return $lots[0] ?? null;
    }
}

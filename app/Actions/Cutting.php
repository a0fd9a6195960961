<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Reservation;
use App\Models\Workshop;
use App\Read\CuttingDesk;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Planner;
use Illuminate\Support\Facades\DB;

/**
 * Cuts are ticked off, wire is kept for pieces: what was planned on a lot is looked at again where it is written, for
 * another may have been faster.
 */
final class Cutting
{
    /** A lot's length comes from its mass: it is not known any finer, mm. */
    private const PLAY_MM = 0.5;

    /**
     * One or more cuts of a kind have been made, or one was spoiled.
     *
     * @param  string  $key  the cut's in its piece
     *
     * @throws Refused if the cut is no longer wanted, or the lot does not hold it
     */
    public function tick(Workshop $workshop, string $piece, string $lot, string $key, int $count, bool $isSpoiled): void
    {
        DB::transaction(function () use ($workshop, $piece, $lot, $key, $count, $isSpoiled): void {
            /** @var Piece|null $for */
            $for = $workshop->pieces()->where('ulid', $piece)->first();
            /** @var Lot|null $from */
            $from = $workshop->lots()->withHeld()->where('ulid', $lot)->first();
            $for !== null && $from !== null
                || throw Refused::invalid(
                    'lot',
                    'That piece or lot is not in this workshop: open the cutting plan again.',
                );
            $profile = $workshop->profile();
            $cut = array_values(
                array_filter(
                    Planner::plan($for->document(), $profile)->cuts,
                    fn (Cut $cut): bool => $cut->key() === $key,
                ),
            )[0] ?? null;
            $cut !== null
                || throw Refused::invalid('cut', 'That cut is no longer in the design: open the cutting plan again.');
            $ticks = CutTick::query()->where('workshop_id', $workshop->id);
            $left = $cut->count - (clone $ticks)->where(
                'piece_id',
                $for->id,
            )->where('cut', $key)->where('is_spoiled', false)->count();
            $many = $isSpoiled ? 1 : max(0, min($left, $count));
            $many > 0 || throw Refused::invalid('cut', "All {$cut->count} of this cut are ticked off already.");
            $length = $cut->printedMm($profile->ruler);
            $taken = (clone $ticks)->where('lot_id', $from->id);
            $held = $from->heldMm() - (clone $taken)->sum('length_um') / 1000 - $taken->count() * $cut->trimMm();
            // The last cut needs no clean end beyond it.
            $held >= $many * $cut->grossMm($profile->ruler) - $cut->trimMm() - self::PLAY_MM
                || throw Refused::invalid(
                    'lot',
                    "{$from->name} holds ".$profile->length(max(0.0, $held)).', and '.$profile->length($many * $length)
                        .' were to come from it. If it really is longer, correct it under Stock.',
                );
            foreach (range(1, $many) as $one) {
                CutTick::query()->create(
                    [
                        'workshop_id' => $workshop->id, 'piece_id' => $for->id, 'lot_id' => $from->id, 'cut' => $key,
                        'length_um' => (int) round($length * 1000), 'is_spoiled' => $isSpoiled,
                    ],
                );
            }
        });
    }

    /**
     * The plan as it stands is kept for its pieces: no other is planned on that wire.
     *
     * @throws Refused if a lot has been spoken for since the plan was made
     */
    public function keep(CuttingDesk $desk): void
    {
        DB::transaction(function () use ($desk): void {
            $this->release($desk);
            $lots = [];
            foreach ($desk->wires as $wire) {
                foreach ($wire['bars'] as $bar) {
                    $lot = $bar['lot'];
                    if ($lot === null) {
                        continue;
                    }
                    foreach ($bar['cuts'] as $cut) {
                        $lots[] = $lot->id;
                        Reservation::query()->create([
                            'workshop_id' => $desk->workshop->id, 'piece_id' => $cut['piece']->id,
                            'lot_id' => $lot->id, 'cut' => $cut['cut']->key(),
                            'count' => $cut['count'] + $desk->ticked($cut['piece'], $cut['cut'], $lot),
                            'length_um' => (int) round($cut['lengthMm'] * 1000),
                        ]);
                    }
                }
            }
            $spoken = CuttingDesk::spokenFor($desk->workshop);
            foreach ($desk->workshop->lots()->withHeld()->whereIn('id', $lots)->get() as $lot) {
                ($spoken[$lot->id]['mm'] ?? 0.0) <= $lot->heldMm() + self::PLAY_MM
                    || throw Refused::invalid(
                        'lot',
                        "{$lot->name} has been kept for ".implode(', ', $spoken[$lot->id]['for'])
                            .' meanwhile. The plan below is made anew: look at it, and keep it then.',
                    );
            }
        });
    }

    public function release(CuttingDesk $desk): void
    {
        Reservation::query()->whereIn('piece_id', $desk->pieces->pluck('id')->all())->delete();
    }
}

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
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Illuminate\Support\Facades\DB;

/**
 * Cuts are ticked off, wire is kept for pieces: what was planned on a lot is looked at again where it is written, for
 * another may have been faster.
 */
final class Cutting
{
    /** A lot's length comes from its mass: it is not known any finer, mm. */
    private const PLAY_MM = 0.5;

    /** So many cuts of a kind are ticked off at once. */
    private const MOST = 10_000;

    /**
     * One or more cuts of a kind have been made, or one was spoiled.
     *
     * @param  array<string, string>  $input  piece, lot, cut (its key in the piece), count, do (`spoiled`)
     *
     * @throws Problem if the cut is no longer wanted, or the lot does not hold it
     */
    public function tick(Workshop $workshop, array $input): void
    {
        DB::transaction(function () use ($workshop, $input): void {
            [$piece, $lot] = $this->named($workshop, $input);
            $ruler = $workshop->profile()->ruler;
            $cut = $this->cut($piece, $workshop->profile(), $input['cut'] ?? '');
            $isSpoiled = ($input['do'] ?? '') === 'spoiled';
            $many = $isSpoiled ? 1 : $this->left($piece, $cut, $input['count'] ?? '');
            $needed = $many * $cut->grossMm($ruler);
            $held = $this->heldMm($lot, $cut->trimMm());
            // The last cut needs no clean end beyond it.
            $held >= $needed - $cut->trimMm() - self::PLAY_MM || throw Refused::invalid(
                'lot',
                "{$lot->name} holds ".$workshop->profile()->length(max(0.0, $held)).', and '
                    .$workshop->profile()->length($many * $cut->printedMm($ruler))
                    .' were to come from it. If it really is longer, correct it under Stock.',
            );
            foreach (range(1, $many) as $one) {
                CutTick::query()->create([
                    'workshop_id' => $workshop->id, 'piece_id' => $piece->id, 'lot_id' => $lot->id,
                    'cut' => $cut->key(), 'length_um' => (int) round($cut->printedMm($ruler) * 1000),
                    'is_spoiled' => $isSpoiled,
                ]);
            }
        });
    }

    /**
     * @param  array<string, string>  $input
     * @return array{Piece, Lot}
     */
    private function named(Workshop $workshop, array $input): array
    {
        /** @var Piece|null $piece */
        $piece = $workshop->pieces()->where('ulid', $input['piece'] ?? '')->first();
        /** @var Lot|null $lot */
        $lot = $workshop->lots()->withHeld()->where('ulid', $input['lot'] ?? '')->first();

        return $piece !== null && $lot !== null ? [$piece, $lot] : throw Refused::invalid(
            'lot', 'That piece or lot is not in this workshop: open the cutting plan again.',
        );
    }

    private function cut(Piece $piece, Profile $profile, string $key): Cut
    {
        foreach (Planner::plan($piece->document(), $profile)->cuts as $cut) {
            if ($cut->key() === $key) {
                return $cut;
            }
        }

        throw Refused::invalid('cut', 'That cut is no longer in the design: open the cutting plan again.');
    }

    /** Of so many cuts of a kind, those that are not ticked off yet. */
    private function left(Piece $piece, Cut $cut, string $count): int
    {
        $done = CutTick::query()->where('piece_id', $piece->id)->where('cut', $cut->key())
            ->where('is_spoiled', false)->count();
        $left = min($cut->count - $done, Count::parse($count, 'count', 1, self::MOST));

        return $left > 0
            ? $left
            : throw Refused::invalid('cut', "All {$cut->count} of this cut are ticked off already.");
    }

    /** What a lot holds beyond what was ticked off on it, and a clean end for each of those. */
    private function heldMm(Lot $lot, float $trimMm): float
    {
        $taken = CutTick::query()->where('lot_id', $lot->id);

        return $lot->heldMm() - (clone $taken)->sum('length_um') / 1000 - $taken->count() * $trimMm;
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

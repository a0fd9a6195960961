<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\CutTick;
use App\Models\Making;
use App\Models\Piece;
use App\Models\StepTime;
use App\Read\CutShare;
use App\Read\MakingDesk;
use App\Read\OnHand;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Progress;
use Hebra\Core\Plan\Step;
use Hebra\Core\Problem;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Making a piece: begin, go on and back, count, mend, stop. A move names the number of moves that its device had seen,
 * so that what is sent twice moves once; an event's own name says that it has come before, however long the device was
 * away.
 */
final class Bench
{
    /**
     * A step that took longer than so many times its estimate, and longer than so many minutes, ran on while nobody
     * worked.
     */
    private const TIMES = 6;

    private const MINUTES = 10;

    private const MOST_TROUBLES = 200;

    /** A week, in minutes. */
    private const LONGEST_WAIT = 10_080;

    /**
     * @param  bool|null  $isByOperation  in which order it is made; null as is usual for so many parts
     *
     * @throws Refused if a check says stop or nothing is laid out
     */
    public function begin(Piece $piece, ?bool $isByOperation = null): Making
    {
        $plan = Planner::plan($piece->document(), $piece->workshop->profile());
        if ($plan->steps() === []) {
            throw Refused::cannotMake('Nothing is laid out: add an ear wire and a drop first.');
        }
        foreach ($plan->checks as $check) {
            $check->level !== Level::Stop || throw Refused::cannotMake($check->text);
        }

        return DB::transaction(fn (): Making => $piece->openMaking()->first() ?? $piece->makings()->create([
            // Of a pair both are turned on the same mark before the next is.
            'workshop_id' => $piece->workshop_id, 'document' => $piece->json(), 'revision' => $piece->revision,
            'is_across' => $plan->piece->makes->count === 2,
            'progress' => $isByOperation ?? $plan->isManyAlike() ? ['operations' => true] : null,
        ]));
    }

    /**
     * Does what one event says, once.
     *
     * @throws Problem if the making stands elsewhere, something is uncounted or not hooked on, or the event says
     *     nothing known
     */
    public function move(Making $making, Plan $plan, BenchEvent $event): void
    {
        DB::transaction(function () use ($making, $plan, $event): void {
            $making->refresh();
            if (
                $event->name !== ''
                && DB::table('bench_events')->where('making_id', $making->id)->where('event', $event->name)->exists()
            ) {
                return;
            }
            ! $making->isClosed() || throw Refused::closed();
            $making->moves === $event->at || throw Refused::staleStep();
            match ($event->do) {
                'next' => $this->next($making, $plan, $event),
                'back' => $this->back($making, $plan),
                'count' => $this->count($making, $plan, $event->counted),
                'spoiled', 'short' => $this->trouble($making, $plan, $event),
                'wait' => $this->wait($making, $event->minutes),
                'across',
                'one' => $this->stands(
                    $making,
                    MakingDesk::progressOf($making, $plan)->across($event->do === 'across'),
                    0,
                ),
                default => throw Refused::invalid('do', 'Give next, back, count, spoiled, short, wait, across or one.'),
            };
            if ($event->name !== '') {
                DB::table('bench_events')->insert(['making_id' => $making->id, 'event' => $event->name]);
            }
        });
    }

    private function next(Making $making, Plan $plan, BenchEvent $event): void
    {
        $desk = new MakingDesk($making, $plan);
        $step = $desk->step;
        if ($step === null) {
            return;
        }
        if ($step->asks !== '' && ! $event->isHooked) {
            throw Refused::notHooked($step->asks);
        }
        if (! $event->isAll && ! $desk->isCounted()) {
            throw Refused::uncounted($making->counted, $desk->expected(), $step->counted);
        }
        // A number of wraps that the maker settled on is asked of the twin side too.
        if ($step->counted === 'wraps' && $making->counted > 0 && $making->counted !== $desk->expected()) {
            $making->counts = [...($making->counts ?? []), MakingDesk::twin($step) => $making->counted];
        }
        $this->timed($making, $step, $event->milliseconds);
        $this->stands($making, $desk->progress->next(), 0);
    }

    private function back(Making $making, Plan $plan): void
    {
        $progress = MakingDesk::progressOf($making, $plan);
        $troubles = $making->troubles ?? [];
        $last = $troubles[count($troubles) - 1] ?? null;
        // Taken back before anything was made again, a trouble was none.
        if ($last !== null && $progress->again !== [] && count($progress->again) === ($last['again'] ?? 0)) {
            CutTick::query()->where('piece_id', $making->piece_id)->where('id', $last['tick'] ?? 0)->delete();
            $making->troubles = array_slice($troubles, 0, -1);
        }
        $this->stands($making, $progress->back(), 0);
    }

    /**
     * The count as the page saw it, and the one it becomes: a doubled tap counts once. Wraps may be more than planned.
     */
    private function count(Making $making, Plan $plan, int $counted): void
    {
        $desk = new MakingDesk($making, $plan);
        $most = $desk->step?->counted === 'wraps' ? max(20, 2 * $desk->expected()) : $desk->expected();
        $making->forceFill(['counted' => max(0, min($most, $counted))])->save();
    }

    private function stands(Making $making, Progress $progress, int $counted): void
    {
        $making->forceFill(
            [
                'progress' => $progress->write() + ($making->isByOperation() ? ['operations' => true] : []),
                'is_across' => $progress->isAcross, 'step' => $progress->count(), 'counted' => $counted,
                'moves' => $making->moves + 1, 'waits_until' => null,
            ],
        )->save();
    }

    /**
     * A cut was spoiled, or ran short: it is written down, its lot has so much less, and the steps of its wire that
     * were done come again with a new cut.
     */
    private function trouble(Making $making, Plan $plan, BenchEvent $event): void
    {
        $desk = new MakingDesk($making, $plan);
        [$cut, $step] = [$desk->cut(), $desk->step];
        $cut !== null && $step !== null || throw Refused::invalid('do', 'No cut is on the bench at this step.');
        $troubles = $making->troubles ?? [];
        count($troubles) < self::MOST_TROUBLES
            || throw Refused::invalid(
                'do',
                'This making has '.self::MOST_TROUBLES.' troubles noted: close it, and begin it anew.',
            );
        $copy = $desk->copy();
        $progress = $copy === null
            ? $desk->progress
            : $desk->progress->mending($copy, $desk->worked($cut), $desk->cutStep($cut));
        $making->troubles = [
            ...$troubles,
            [
                'kind' => $event->do, 'cut' => $cut->key(), 'step' => $step->title,
                'um' => (int) round(1000 * $plan->profile->ruler->upMm($cut->lengthMm())),
                'tick' => $this->tickSpoiled($making, $plan, $cut), 'again' => count($progress->again),
            ],
        ];
        $this->stands($making, $progress, 0);
    }

    /** A step of a finished copy is made again. */
    public function mend(Making $making, Plan $plan, int $copy, int $step): void
    {
        $progress = MakingDesk::progressOf($making, $plan);
        isset($plan->steps()[$step], $progress->done[$copy])
            || throw Refused::invalid('found', 'That step is not in this making.');
        $this->stands($making, $progress->mending($copy, [$step]), 0);
    }

    /**
     * The lot that it most likely came from: where the maker ticked it off or kept it, else the one that the log would
     * offer.
     *
     * @return int|null the tick; null where it came from wire not booked
     */
    private function tickSpoiled(Making $making, Plan $plan, Cut $cut): ?int
    {
        if ($cut->isBoughtPin()) {
            return null;
        }
        $lot = CutTick::query()->where(
            'piece_id',
            $making->piece_id,
        )->where('cut', $cut->key())->latest('id')->value('lot_id')
            ?? (new OnHand($making->piece, $making->piece->workshop, $plan->profile))->lotOffered(
                CutShare::of($cut, new Collection)[0],
            )?->id;

        return $lot === null ? null : CutTick::query()->create([
            'workshop_id' => $making->workshop_id, 'piece_id' => $making->piece_id, 'lot_id' => (int) $lot,
            'cut' => $cut->key(), 'length_um' => (int) round(1000 * $plan->profile->ruler->upMm($cut->lengthMm())),
            'is_spoiled' => true,
        ])->id;
    }

    /** It has to rest: glue, a tumbler, a bath. No minutes, and it goes on at once. */
    private function wait(Making $making, int $minutes): void
    {
        $minutes >= 0 && $minutes <= self::LONGEST_WAIT
            || throw Refused::invalid(
                'wait',
                "It waits {$minutes} minutes: give from 1 to ".self::LONGEST_WAIT.', or 0 to go on.',
            );
        $making->forceFill(['waits_until' => $minutes === 0 ? null : now()->addMinutes($minutes)])->save();
    }

    /** What a clock that jumped says is nothing; what ran over night counts as no more than a long step. */
    private function timed(Making $making, Step $step, int $milliseconds): void
    {
        if ($milliseconds < 500) {
            return;
        }
        $estimate = (int) round(60_000 * Minutes::step($step));
        $most = max(self::TIMES * $estimate, 60_000 * self::MINUTES);
        StepTime::query()->create([
            'workshop_id' => $making->workshop_id, 'making_id' => $making->id, 'kind' => Minutes::kind($step),
            'title' => mb_substr($step->title, 0, 200), 'estimate_ms' => $estimate,
            'taken_ms' => min($most, $milliseconds), 'is_capped' => $milliseconds > $most,
        ]);
    }
}

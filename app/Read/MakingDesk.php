<?php

declare(strict_types=1);

namespace App\Read;

use App\Models\Making;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Copies;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Prepare;
use Hebra\Core\Plan\Progress;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Trouble;
use Hebra\Core\Wire\Temper;

/** Where a making stands: which step, of which copy, how far. */
final readonly class MakingDesk
{
    /** How a picture is asked for that is seen in a mirror. */
    public const MIRRORED = 'mirrored';

    /** Steps told below the one at hand. */
    private const NEXT = 3;

    /** Steps that a page carries with it, for when the connection is lost. */
    private const AHEAD = 40;

    /** Steps whose time is foretold one by one. */
    private const FORETOLD = 400;

    /** From so many wraps, turns or repeats on the wire is straightened after every five [common practice]. */
    private const LONG = 10;

    private const EVERY = 5;

    public ?Step $step;

    public int $total;

    public Progress $progress;

    public function __construct(public Making $making, public Plan $plan)
    {
        $this->progress = self::progressOf($making, $plan);
        $this->step = self::stepOf($plan, $this->progress);
        $this->total = $this->progress->total();
    }

    public static function progressOf(Making $making, Plan $plan): Progress
    {
        $copies = new Copies(
            count($plan->prepare()), count($plan->steps()), $plan->piece->makes->count, $making->is_across,
        );

        return Progress::read($copies, $making->progress, $making->step);
    }

    private static function stepOf(Plan $plan, Progress $progress): ?Step
    {
        $at = $progress->step();
        if ($at === null) {
            return null;
        }
        if ($at < 0) {
            return self::cutAnew($plan, $plan->prepare()[abs($at) - 1] ?? null);
        }

        $step = ($progress->copy() === null ? $plan->prepare() : $plan->steps())[$at] ?? null;

        // What is made again is one of them.
        return $progress->again === [] ? $step : ($step->each ?? $step);
    }

    /** One piece more of what was spoiled. */
    private static function cutAnew(Plan $plan, ?Step $step): ?Step
    {
        foreach ($plan->cuts as $cut) {
            if ($cut->key() === $step?->cut) {
                return Prepare::cut($cut, 1, $plan->profile);
            }
        }

        return $step;
    }

    /** Which of the common steps cuts a wire; null for a bought pin. */
    public function cutStep(Cut $cut): ?int
    {
        foreach ($this->plan->prepare() as $at => $step) {
            if ($step->operation === Operation::Cut && $step->cut === $cut->key()) {
                return $at;
            }
        }

        return null;
    }

    public function isDone(): bool
    {
        return $this->step === null;
    }

    /** Which copy is on the bench, from 0; null while preparing for all of them. */
    public function copy(): ?int
    {
        return $this->progress->copy();
    }

    public function isAgain(): bool
    {
        return $this->progress->again !== [];
    }

    /** Whether the second of a mirrored pair is on the bench. */
    public function isMirrored(): bool
    {
        return $this->isMirroredAt($this->progress);
    }

    private function isMirroredAt(Progress $progress): bool
    {
        return $this->plan->piece->makes->isMirrored() && $progress->copy() === 1;
    }

    /** Where the picture of the step is. */
    public function picture(): string
    {
        return $this->pictureOf($this->progress);
    }

    private function pictureOf(Progress $progress): string
    {
        $at = $progress->step() ?? 0;
        $place = match (true) {
            $at < 0 => abs($at),
            $progress->copy() === null => $at + 1,
            default => count($this->plan->prepare()) + $at + 1,
        };

        $seen = $this->isSeenMirrored($progress) ? self::MIRRORED : 'plain';

        return "/makings/{$this->making->ulid}/steps/{$place}.svg?seen={$seen}";
    }

    /** A left-handed maker sees everything mirrored, and the second of a mirrored pair is so for everyone. */
    private function isSeenMirrored(Progress $progress): bool
    {
        return $this->plan->profile->schools->isLeftHanded() !== $this->isMirroredAt($progress);
    }

    public function whose(): string
    {
        return $this->whoseOf($this->progress);
    }

    private function whoseOf(Progress $progress): string
    {
        $makes = $this->plan->piece->makes;

        return $progress->copy() === null
            ? 'For '.$makes->words()
            : ucfirst($makes->nameOf(min($progress->copy(), $makes->count - 1), $this->plan->piece->fit->kind->noun()));
    }

    /** What comes then, and for whom where that is another. */
    public function then(): string
    {
        $next = $this->progress->next();
        $step = self::stepOf($this->plan, $next);

        return match (true) {
            $step === null => '',
            $next->copy() === $this->progress->copy() => $step->title,
            $step->title === $this->step?->title => lcfirst($this->whoseOf($next)).', the same',
            default => lcfirst($this->whoseOf($next)).': '.lcfirst($step->title),
        };
    }

    /** How many there are to be: as planned, or as many as its twin was given. */
    public function expected(): int
    {
        return $this->step === null ? 0 : self::expectedOf($this->making, $this->step);
    }

    public static function expectedOf(Making $making, Step $step): int
    {
        return $making->counts[self::twin($step)] ?? $step->count;
    }

    /** Whether the count is that of its twin, not the plan's. */
    public function isAsTwin(): bool
    {
        return $this->step !== null && $this->expected() !== $this->step->count;
    }

    /** What sides that are wrapped alike are told by: part, what is counted and how many were planned. */
    public static function twin(Step $step): string
    {
        return Instance::partOf($step->part).':'.$step->counted.':'.$step->count;
    }

    public function isCounted(): bool
    {
        return $this->step === null || $this->step->count === 0 || $this->making->counted >= $this->expected();
    }

    /** Whether the wire wants to be straightened now: in a long wrapping after every five. */
    public function straightens(): bool
    {
        return $this->step !== null && self::isLong($this->step) && $this->making->counted > 0
            && $this->making->counted % self::EVERY === 0 && ! $this->isCounted();
    }

    private static function isLong(Step $step): bool
    {
        // A bead bound on draws the whole wire through: there it is wanted sooner.
        $isBinding = array_filter($step->marks, fn (string $mark): bool => str_ends_with($mark, ':binding')) !== [];

        return $isBinding
            ? $step->count > self::EVERY
            : $step->count >= self::LONG && in_array($step->counted, ['wraps', 'turns', 'repeats'], true);
    }

    /** The cut that the step works on: of several wires in one part, the one that the step lights up. */
    public function cut(): ?Cut
    {
        return $this->cutOf($this->step);
    }

    private function cutOf(?Step $step): ?Cut
    {
        $named = array_values(
            array_filter($this->plan->strips(), fn (Cut $cut): bool => $cut->key() === $step?->cut),
        );
        if ($named !== []) {
            return $named[0];
        }
        $part = Instance::partOf($step->part ?? '');
        $cuts = array_values(array_filter($this->plan->strips(), fn (Cut $cut): bool => $cut->part === $part));
        foreach ($cuts as $cut) {
            if ($this->isOn($cut, $step)) {
                return $cut;
            }
        }

        return $cuts[0] ?? null;
    }

    /**
     * Steps of the copy on the bench that have worked on a cut so far: they come again where it was spoiled. What hangs
     * stays hung.
     *
     * @return list<int>
     */
    public function worked(Cut $cut): array
    {
        $isOne = count(array_filter($this->plan->strips(), fn (Cut $other): bool => $other->part === $cut->part)) === 1;
        $done = $this->copy() === null ? [] : array_slice($this->plan->steps(), 0, $this->progress->step() ?? 0);

        return array_keys(
            array_filter(
                $done,
                fn (
                    Step $step,
                ): bool => $step->part === $this->step?->part
                    && $step->operation !== Operation::Hook
                    && ($isOne || $this->isOn($cut, $step)),
            ),
        );
    }

    private function isOn(Cut $cut, ?Step $step): bool
    {
        return array_intersect(array_column($cut->segments, 'mark'), $step->marks ?? []) !== [];
    }

    /**
     * The steps from here on.
     *
     * @return list<array{Progress, Step}> each with where the making stands at it
     */
    private function ahead(int $most): array
    {
        $ahead = [];
        for ($at = $this->progress; count($ahead) < $most && ! $at->isDone(); $at = $at->next()) {
            $step = self::stepOf($this->plan, $at);
            if ($step === null) {
                break;
            }
            $ahead[] = [$at, $step];
        }

        return $ahead;
    }

    /** How long the rest takes, about. */
    public function minutesLeft(Pace $pace): float
    {
        return $this->left($pace)['about'];
    }

    /**
     * The rest, and between which minutes it lies in four of five cases: step by step where there are few, by their
     * number beyond.
     *
     * @return array{about: float, from: float, to: float}
     */
    public function left(Pace $pace): array
    {
        $steps = array_column($this->ahead(self::FORETOLD), 1);
        $more = $steps === [] ? 0.0 : max(1.0, ($this->total - $this->progress->count()) / count($steps));

        return array_map(fn (float $minutes): float => $more * $minutes, $pace->ofSteps($steps));
    }

    /**
     * For the page, which tells the time of day: what each step takes that it carries, what comes after them, and how
     * far both ends of the range are off.
     *
     * @return array{each: list<float>, later: float, from: float, to: float}
     */
    private function foretold(Pace $pace): array
    {
        $left = $this->left($pace);
        $each = array_map(
            fn (array $one): float => round($pace->minutes($one[1]), 3), $this->ahead(self::AHEAD),
        );
        $about = max(1e-6, $left['about']);

        return [
            'each' => $each, 'later' => round(max(0.0, $left['about'] - array_sum($each)), 3),
            'from' => round($left['from'] / $about, 4), 'to' => round($left['to'] / $about, 4),
        ];
    }

    /** @return list<string> parts of which nothing is made yet */
    public function unmade(): array
    {
        return self::unmadeAt($this->progress, self::stepOf($this->plan, $this->progress), $this->beginsAt());
    }

    /**
     * While all copies are prepared for none of them is begun, but for what is at hand.
     *
     * @param  array<string, int>  $beginsAt
     * @return list<string>
     */
    private static function unmadeAt(Progress $progress, ?Step $step, array $beginsAt): array
    {
        $place = match (true) {
            $progress->isDone() => PHP_INT_MAX,
            $progress->copy() === null => -1,
            default => $progress->step() ?? 0,
        };
        $now = $step === null ? [] : self::worksOn($step);

        return array_keys(array_filter(
            $beginsAt, fn (int $at, string $part): bool => $at > $place && ! in_array($part, $now, true),
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /** @return array<string, int> the first step, of those for each copy, that works on a part that is made */
    private function beginsAt(): array
    {
        $begins = [];
        foreach ($this->plan->steps() as $place => $step) {
            foreach (self::worksOn($step) as $part) {
                $begins[$part] ??= $place;
            }
        }
        $made = array_filter(
            $this->plan->parts(), fn ($part): bool => ! $part->technique->isBought($part->part),
        );

        return array_map(fn (string $part): int => $begins[$part] ?? PHP_INT_MAX - 1, array_combine(
            array_keys($made), array_keys($made),
        ));
    }

    /** @return list<string> parts that a step makes something of */
    private static function worksOn(Step $step): array
    {
        return $step->operation === Operation::Cut ? [] : array_map(
            fn (string $instance): string => Instance::partOf($instance)->text, $step->works(),
        );
    }

    /** Whether the wire at hand is hard before it is bent. */
    public function isHard(): bool
    {
        return $this->step !== null && $this->isHardAt($this->step);
    }

    private function isHardAt(Step $step): bool
    {
        return Trouble::isHard($this->cutOf($step)->wire->temper ?? Temper::DeadSoft);
    }

    /** @return list<Cut> that the steps the page carries work on */
    public function cutsAhead(): array
    {
        $keys = array_map(
            fn (array $one): string => $this->cutOf($one[1])?->key() ?? '', $this->ahead(self::AHEAD),
        );

        return array_values(array_filter(
            $this->plan->strips(), fn (Cut $cut): bool => in_array($cut->key(), $keys, true),
        ));
    }

    /** @return list<array{picture: string, title: string}> the next three steps, as pictures */
    public function comesNext(): array
    {
        return array_map(fn (array $one): array => [
            'picture' => $this->pictureOf($one[0]), 'title' => $one[1]->title,
        ], array_slice($this->ahead(1 + self::NEXT), 1));
    }

    /**
     * What the page carries for when it is alone: the steps from here on.
     *
     * @return array<string, mixed>
     */
    public function carried(Pace $pace): array
    {
        [$ahead, $begins] = [[], $this->beginsAt()];
        foreach ($this->ahead(self::AHEAD) as [$at, $step]) {
            $ahead[] = [
                'whose' => $this->whoseOf($at), 'title' => $step->title, 'text' => $step->text, 'tool' => $step->tool,
                'count' => self::expectedOf($this->making, $step), 'counted' => $step->counted, 'asks' => $step->asks,
                'cautions' => array_map(
                    fn ($caution): string => $caution->words(),
                    $step->cautions,
                ), 'marks' => $step->marks, 'straightens' => self::isLong($step)
                    ? self::EVERY
                    : 0,
                'picture' => $this->pictureOf($at),
                'strip' => $this->cutOf($step)?->key() ?? '', 'isHard' => $this->isHardAt($step),
                'unmade' => self::unmadeAt($at, $step, $begins),
            ];
        }

        return [
            'making' => $this->making->ulid,
            'moves' => $this->making->moves,
            'counted' => $this->making->counted,
            'step' => $this->progress->count(),
            'total' => $this->total,
            'now' => (int) now()->getTimestampMs(),
            'foretold' => $this->foretold($pace),
            'ahead' => $ahead,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\MoveState;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Handwork\Operation;

/**
 * One wire of a part and the steps that form it, by their places. A move is made at the first step that names it, or
 * bit by bit where a step says how far it comes; what no step names, with its nearest neighbour on the wire.
 */
final class WireForming
{
    /** When what a bought pin comes with is made: before the first step. */
    public const READY = -1;

    /**
     * @param  non-empty-list<int>  $madeAt  when each move is made whole
     * @param  array<int, array<int, float>>  $stages  of moves that are made bit by bit, what is made after each step
     * @param  list<int>  $trimmedAt  when each is gone; never, of what stays
     * @param  list<int>  $wideAt  when each is as wide as it will be
     * @param  list<int>  $readyAt  when some of it is laid ready, before anything is made
     */
    private function __construct(
        public readonly Course $course, public readonly array $madeAt, private readonly array $stages,
        private readonly array $trimmedAt, private readonly array $wideAt, private readonly array $readyAt = [],
    ) {
    }

    /** @var list<list<Threaded>>|null */
    private ?array $threaded = null;

    /**
     * What is bought is as it is from the first step on.
     *
     * @param  array<int, Step>  $steps
     */
    public static function bought(Course $course, array $steps): self
    {
        $now = array_fill(0, count($course->moves), 0);

        return new self($course, $now, [], array_map(self::trimmed(0, $steps), $course->moves), $now);
    }

    /**
     * @param  int  $number  how many wires of its kind are before it
     * @param  array<int, Step>  $steps  those of its part, by their places, in order
     */
    public static function of(Course $course, int $number, array $steps): self
    {
        [$madeAt, $stages] = self::made($course, $number, $steps);
        $wideAt = array_map(
            fn (Move $move, int $at): int => self::firstOf($steps, $move, [Operation::Hammer, Operation::Crimp]) ?? $at,
            $course->moves, $madeAt,
        );
        $readyAt = array_map(
            fn (Move $move): ?int => self::firstOf($steps, $move, [Operation::Ready]), $course->moves,
        );

        return new self(
            $course, $madeAt, $stages, array_map(self::trimmed(max($madeAt), $steps), $course->moves), $wideAt,
            array_values(array_filter($readyAt, fn (?int $at): bool => $at !== null)),
        );
    }

    /**
     * @param  array<int, Step>  $steps
     * @return array{non-empty-list<int>, array<int, array<int, float>>}
     */
    private static function made(Course $course, int $number, array $steps): array
    {
        $at = $stages = [];
        foreach ($course->moves as $place => $move) {
            foreach ($steps as $step => $told) {
                if (! self::makes($told, $move)) {
                    continue;
                }
                if (isset($told->shares[$move->segment->mark])) {
                    $stages[$place] ??= [];
                }
                $share = self::shareOf($course, $place, ($told->shares[$move->segment->mark] ?? INF) - $number);
                if ($share >= 1.0) {
                    $at[$place] = $step;

                    break;
                }
                $stages[$place][$step] = $share;
            }
            $at[$place] ??= self::firstOf($steps, $move, [Operation::Hammer]);
        }
        $at = array_filter($at, fn (?int $step): bool => $step !== null);
        $last = array_key_last($steps) ?? 0;
        $made = [];
        foreach ($course->moves as $place => $move) {
            $made[] = $move->segment->isReady()
                ? self::READY
                : $at[$place] ?? $at[self::nearest(array_keys($at), $place)] ?? $last;
        }

        return [$made, $stages];
    }

    /** How much of a move is made where so much is of all of its wire that bears its mark. */
    private static function shareOf(Course $course, int $place, float $share): float
    {
        if ($share >= 1.0) {
            return 1.0;
        }
        $mark = $course->moves[$place]->segment->mark;
        $marked = array_filter($course->moves, fn (Move $move): bool => $move->segment->mark === $mark);
        $lengths = array_map(fn (Move $move): float => $move->segment->lengthMm, $marked);
        $before = array_sum(array_filter($lengths, fn (int $at): bool => $at < $place, ARRAY_FILTER_USE_KEY));
        $made = ($share * array_sum($lengths) - $before) / max(1e-9, $lengths[$place]);

        // A hair from the end of a stretch is its end.
        return $made > 1.0 - 1e-6 ? 1.0 : max(0.0, $made);
    }

    /** @param  list<int>  $places */
    private static function nearest(array $places, int $place): int
    {
        usort($places, fn (int $one, int $other): int => abs($one - $place) <=> abs($other - $place));

        return $places[0] ?? -1;
    }

    /** What is filed, hammered or trimmed, or only has beads put on, keeps its shape. */
    private static function makes(Step $step, Move $move): bool
    {
        $isThreaded = $step->operation === Operation::Thread && $move->segment->kind !== SegmentKind::Seat;

        return ($step->operation->makes() || $isThreaded || $step->operation === Operation::Try) && $move->stays()
            && in_array($move->segment->mark, $step->marks, true);
    }

    /**
     * @param  array<int, Step>  $steps
     * @param  non-empty-list<Operation>  $operations
     * @return int|null the first of them that does something to a move
     */
    private static function firstOf(array $steps, Move $move, array $operations): ?int
    {
        foreach ($steps as $at => $step) {
            if (
                in_array($step->operation, $operations, true) && $move->stays()
                && in_array($move->segment->mark, $step->marks, true)
            ) {
                return $at;
            }
        }

        return null;
    }

    /**
     * @param  array<int, Step>  $steps
     * @return \Closure(Move): int when a move is gone, at the latest when all is made
     */
    private static function trimmed(int $last, array $steps): \Closure
    {
        return function (Move $move) use ($last, $steps): int {
            if ($move->stays()) {
                return PHP_INT_MAX;
            }
            foreach ($steps as $at => $step) {
                $isCutting = $step->operation === Operation::Trim || $step->operation->forms();
                if ($isCutting && in_array($move->segment->mark, $step->marks, true)) {
                    return $at;
                }
            }

            return $last;
        };
    }

    /** @return list<list<Threaded>> all that will stand on each of its moves */
    public function threaded(): array
    {
        return $this->threaded ??= array_map(fn (Move $move): array => $move->threaded(), $this->course->moves);
    }

    public function isBegun(int $step): bool
    {
        $begun = [...$this->readyAt, ...$this->madeAt, ...array_merge(...array_map(array_keys(...), $this->stages))];

        return array_filter($begun, fn (int $at): bool => $at > self::READY && $at <= $step) !== [];
    }

    /**
     * The wire after a step.
     *
     * @param  list<list<Threaded>>  $threaded  what stands on each move already
     */
    public function after(int $step, array $threaded): Course
    {
        $states = array_map(
            fn (int $place): MoveState => new MoveState(
                $this->share($place, $step), $threaded[$place], isset($this->stages[$place]),
                $this->trimmedAt[$place] > $step, $this->wideAt[$place] <= $step,
            ),
            array_keys($this->course->moves),
        );

        return $this->course->asFormed($states);
    }

    private function share(int $place, int $step): float
    {
        if ($this->madeAt[$place] <= $step) {
            return 1.0;
        }
        $reached = array_filter($this->stages[$place] ?? [], fn (int $at): bool => $at <= $step, ARRAY_FILTER_USE_KEY);

        return max([0.0, ...$reached]);
    }

    /** @return list<int> among those of its moves that take length, which is what a cut tells */
    public function places(int $step): array
    {
        $made = [];
        $place = 0;
        foreach ($this->course->moves as $at => $move) {
            if ($move->segment->lengthMm <= 1e-9) {
                continue;
            }
            if ($this->madeAt[$at] <= $step && $move->segment->kind->stays()) {
                $made[] = $place;
            }
            $place++;
        }

        return $made;
    }
}

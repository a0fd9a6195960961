<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Threaded;

/**
 * How far every wire is formed after each step: a move is made at the first step that names it; what no step names,
 * with
 * its nearest neighbour on the wire. Beads stand on it from the step that puts them on, tails until they are trimmed.
 * Steps are counted from 0 over what is done once and what is done for one piece.
 */
final class FormingStates
{
    /** When what a bought pin comes with is made: before the first step. */
    private const READY = -1;

    /** @var list<Step> */
    private readonly array $steps;

    /**
     * @var array<string, list<array{Course, list<int>, list<int>}>> by part: each wire, when its moves are made, and
     *     when they are trimmed off
     */
    private array $known = [];

    /** @var array<string, list<int>> by part */
    private array $stepsKnown = [];

    public function __construct(private readonly Plan $plan)
    {
        $this->steps = [...$plan->prepare(), ...$plan->steps()];
    }

    public function step(int $step): Step
    {
        return $this->steps[$step];
    }

    public function count(): int
    {
        return count($this->steps);
    }

    /** The part that a step works on; null where it is none of them alone. */
    public function part(int $step): ?PartPlan
    {
        $id = Instance::partOf($this->steps[$step]->part);

        return $this->plan->parts()[$id->text] ?? null;
    }

    /**
     * The wires of a part as they are after a step, and their beads: those that it works on or that are begun.
     *
     * @param  bool  $isBefore  whether as they are before it
     * @return list<Course>
     */
    public function wires(PartPlan $part, int $step, bool $isBefore = false): array
    {
        $step = $this->asOfFirst($part, $step);
        $wires = [];
        foreach ($this->plan->cuts as $cut) {
            if ($cut->rings?->eachMm !== null && $cut->key() === $this->steps[$step]->cut) {
                $isWound = ! $isBefore && $this->steps[$step]->operation === Operation::Coil;

                return [CoilBeads::seen($part, $cut, $isWound)];
            }
        }
        foreach ($this->of($part) as [$course, $madeAt, $trimmedAt]) {
            $isWorked = $this->isOn($this->steps[$step], $part, $course);
            $isBegun = array_filter($madeAt, fn (int $at): bool => $at > self::READY && $at <= $step) !== [];
            if (! $course->isWire && $madeAt[0] > ($isBefore ? $step - 1 : $step)) {
                continue;
            }
            if ($isWorked || ($isBegun && $this->steps[$step]->operation !== Operation::Cut)) {
                $wires[] = $this->asOf($part, $course, $madeAt, $trimmedAt, $isBefore ? $step - 1 : $step);
            }
        }

        return $wires;
    }

    /** Of parts alike a later one looks, at each of its steps, as the first did at the same one. */
    private function asOfFirst(PartPlan $part, int $step): int
    {
        $told = $this->steps[$step];
        foreach ($told->operation === Operation::Hook ? [] : $this->stepsOf($part) as $at) {
            $one = $this->steps[$at];
            $isSame = $one->operation === $told->operation && $one->marks === $told->marks;
            if ($isSame && $at < $step && array_intersect($one->works(), $told->works()) === []) {
                return $at;
            }
        }

        return $step;
    }

    /**
     * @param  list<int>  $madeAt
     * @param  list<int>  $trimmedAt
     */
    private function asOf(PartPlan $part, Course $course, array $madeAt, array $trimmedAt, int $step): Course
    {
        $made = array_keys(array_filter($madeAt, fn (int $at): bool => $at <= $step));
        $shown = array_keys(array_filter($trimmedAt, fn (int $at): bool => $at > $step));
        $threaded = array_map(
            fn (Move $move): array => array_values(array_filter(
                $move->threaded(), fn (Threaded $run): bool => $this->putAt($part, $course, $move, $run) <= $step,
            )),
            $course->moves,
        );

        return $course->asFormed($made, $shown, $threaded);
    }

    /** @return list<int> the stretches of a cut that are made after a step, by their places */
    public function madeOf(Cut $cut, int $step): array
    {
        $part = $this->plan->parts()[$cut->part->text];
        foreach ($cut->rings === null ? $this->of($part) : [] as [$course, $madeAt]) {
            if ($course->slot === $cut->slot) {
                return self::places($course, $madeAt, $step);
            }
        }

        // A coil of rings is cut up whole.
        $isWound = $this->stepsOf($part) !== [] && $this->stepsOf($part)[0] <= $step;
        $stays = array_filter($cut->segments, fn (Segment $segment): bool => $segment->kind->stays());

        return $isWound ? array_keys($stays) : [];
    }

    /**
     * @param  list<int>  $madeAt
     * @return list<int> among those of its moves that take length, which is what a cut tells
     */
    private static function places(Course $course, array $madeAt, int $step): array
    {
        $made = [];
        $place = 0;
        foreach ($course->moves as $at => $move) {
            if ($move->segment->lengthMm <= 1e-9) {
                continue;
            }
            if ($madeAt[$at] <= $step && $move->segment->kind->stays()) {
                $made[] = $place;
            }
            $place++;
        }

        return $made;
    }

    /** @return list<array{Course, list<int>, list<int>}> */
    private function of(PartPlan $part): array
    {
        return $this->known[$part->part->id->text] ??= array_map(
            function (Course $course) use ($part): array {
                $madeAt = $this->madeAt($part, $course);

                return [$course, $madeAt, $this->trimmedAt($part, $course, $madeAt)];
            },
            $part->technique->courses($part),
        );
    }

    /** @return list<int> the places of the steps of the first of a part */
    private function stepsOf(PartPlan $part): array
    {
        return $this->stepsKnown[$part->part->id->text] ??= $this->stepsOfFirst($part);
    }

    /** @return list<int> */
    private function stepsOfFirst(PartPlan $part): array
    {
        $first = null;
        $places = [];
        foreach ($this->steps as $at => $step) {
            if ($step->operation === Operation::Cut) {
                continue;
            }
            foreach ($step->works() as $instance) {
                $first ??= Instance::partOf($instance) === $part->part->id ? $instance : null;
                if ($instance === $first) {
                    $places[] = $at;
                }
            }
        }

        return $places;
    }

    /** @return non-empty-list<int> */
    private function madeAt(PartPlan $part, Course $course): array
    {
        if ($part->technique->isBought($part->part)) {
            return array_fill(0, count($course->moves), 0);
        }
        $steps = $this->stepsOf($part);
        $at = [];
        foreach ($course->moves as $place => $move) {
            foreach ($steps as $step) {
                if (self::makes($this->steps[$step], $move)) {
                    $at[$place] = $step;

                    break;
                }
            }
        }
        $last = $steps === [] ? 0 : $steps[count($steps) - 1];
        $made = [];
        foreach ($course->moves as $place => $move) {
            $made[] = $move->segment->isReady()
                ? self::READY
                : $at[$place] ?? $at[self::nearest(array_keys($at), $place)] ?? $last;
        }

        return $made;
    }

    /** @param  list<int>  $places */
    private static function nearest(array $places, int $place): int
    {
        usort($places, fn (int $one, int $other): int => abs($one - $place) <=> abs($other - $place));

        return $places[0] ?? -1;
    }

    /** What is filed or trimmed, or only has beads put on, keeps its shape. */
    private static function makes(Step $step, Move $move): bool
    {
        $isSeat = $move->segment->kind === SegmentKind::Seat;

        return $move->segment->kind->stays() && in_array($move->segment->mark, $step->marks, true)
            && ! in_array($step->operation, [Operation::Trim, Operation::File], true)
            && ! ($step->operation === Operation::Thread && $isSeat);
    }

    /**
     * @param  non-empty-list<int>  $madeAt
     * @return list<int> when each move is gone, at the latest when all is made; never, of what stays
     */
    private function trimmedAt(PartPlan $part, Course $course, array $madeAt): array
    {
        $steps = $this->stepsOf($part);
        $trims = array_values(
            array_filter($steps, fn (int $at): bool => $this->steps[$at]->operation === Operation::Trim),
        );
        $last = max($madeAt);

        return array_map(function (Move $move) use ($trims, $last): int {
            if ($move->segment->kind->stays()) {
                return PHP_INT_MAX;
            }
            foreach ($trims as $at) {
                if (in_array($move->segment->mark, $this->steps[$at]->marks, true)) {
                    return $at;
                }
            }

            return $last;
        }, $course->moves);
    }

    /** Whether a step works on a wire: the first of its part where it names none. */
    private function isOn(Step $step, PartPlan $part, Course $course): bool
    {
        return ($step->cut === '' ? $part->cutKey() : $step->cut) === $part->cutKey($course->slot);
    }

    /** When beads come on their wire: at the step that names their stretch, or puts the first of their kind on it. */
    private function putAt(PartPlan $part, Course $course, Move $move, Threaded $run): int
    {
        $first = null;
        foreach ($this->stepsOf($part) as $at) {
            $step = $this->steps[$at];
            if (
                ! $this->isOn($step, $part, $course)
                || ! in_array($run->bead, array_column($step->putsOn, 'bead'), true)
            ) {
                continue;
            }
            if (in_array($move->segment->mark, $step->marks, true)) {
                return $at;
            }
            $first ??= $at;
        }

        return $first ?? 0;
    }
}

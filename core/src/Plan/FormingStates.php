<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\View;
use Hebra\Core\Handwork\Operation;

/**
 * How far every wire is formed after each step, as WireForming has it. Beads stand on it from the step that puts them
 * on, tails until they are trimmed. Steps are counted from 0 over what is done once and what is done for one piece.
 */
final class FormingStates
{
    /** @var list<Step> */
    private readonly array $steps;

    /** @var array<string, list<WireForming>> by part */
    private array $known = [];

    /** @var array<string, list<int>> by part */
    private array $stepsKnown = [];

    /** @var array<string, array{Look, list<Course>}> */
    private array $looks = [];

    /** @var array<string, Seen> each part from each side */
    private array $sides = [];

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
        $at = $isBefore ? $step - 1 : $step;
        foreach ($this->of($part) as $wire) {
            if (! $wire->course->isWire && $wire->madeAt[0] > $at) {
                continue;
            }
            $isCut = $this->steps[$step]->operation === Operation::Cut;
            if ($this->isOn($this->steps[$step], $part, $wire->course) || ($wire->isBegun($step) && ! $isCut)) {
                $wires[] = $wire->after($at, $this->threaded($part, $wire, $at));
            }
        }

        return $wires;
    }

    /**
     * Some wires of a part as they are seen: what was before a step is what was after the one before it.
     *
     * @param  list<Course>  $wires
     * @param  Seen  $from  as from() gives it
     */
    public function look(PartPlan $part, array $wires, Seen $from): Look
    {
        $key = implode(' ', array_map(spl_object_id(...), [$from, ...$wires]));
        // They are held, so that no other comes to have the same number.
        [$look] = $this->looks[$key] ??= [
            new Look(fn (Glimpse $glimpse): PieceFigure => CoilBeads::tinted($part, $from->alone(array_map(
                fn (Course $course): array => [$course, $part->wireOf($course->role)], $wires,
            ), $glimpse))), $wires,
        ];

        return $look;
    }

    /**
     * From where a part is looked at, as often as it is.
     *
     * @param  float  $turned  how many degrees further it is turned before that
     */
    public function from(PartPlan $part, View $view, float $turned = 0.0): Seen
    {
        return $this->sides["{$part->part->id->text} {$view->value} {$turned}"] ??= Seen::from($view, $turned);
    }

    /** Of parts alike a later one looks, at each of its steps, as the first did at the same one. */
    private function asOfFirst(PartPlan $part, int $step): int
    {
        $told = $this->steps[$step];
        foreach ($told->operation === Operation::Hook ? [] : $this->stepsOf($part) as $at) {
            $one = $this->steps[$at];
            $isSame = $one->operation === $told->operation && $one->marks === $told->marks
                && $one->shares === $told->shares;
            if ($isSame && $at < $step && array_intersect($one->works(), $told->works()) === []) {
                return $at;
            }
        }

        return $step;
    }

    /** @return list<list<Threaded>> what stands on each of its moves after a step */
    private function threaded(PartPlan $part, WireForming $wire, int $step): array
    {
        return array_map(
            fn (Move $move, array $all): array => array_values(array_filter(
                $all, fn (Threaded $run): bool => $this->putAt($part, $wire->course, $move, $run) <= $step,
            )),
            $wire->course->moves, $wire->threaded(),
        );
    }

    /** @return list<int> the stretches of a cut that are made after a step, by their places */
    public function madeOf(Cut $cut, int $step): array
    {
        $part = $this->plan->parts()[$cut->part->text];
        foreach ($cut->rings === null ? $this->of($part) : [] as $wire) {
            if ($wire->course->slot === $cut->slot) {
                return $wire->places($step);
            }
        }

        // A coil of rings is cut up whole.
        $isWound = $this->stepsOf($part) !== [] && $this->stepsOf($part)[0] <= $step;
        $stays = array_filter($cut->segments, fn (Segment $segment): bool => $segment->kind->stays());

        return $isWound ? array_keys($stays) : [];
    }

    /** @return list<WireForming> */
    private function of(PartPlan $part): array
    {
        return $this->known[$part->part->id->text] ??= $this->formingOf($part);
    }

    /** @return list<WireForming> */
    private function formingOf(PartPlan $part): array
    {
        $steps = array_intersect_key($this->steps, array_flip($this->stepsOf($part)));
        $wires = $numbers = [];
        foreach ($part->settled() as $course) {
            $kind = "{$course->role}, {$course->label}";
            $number = $numbers[$kind] ?? 0;
            $wires[] = $part->technique->isBought($part->part)
                ? WireForming::bought($course, $steps)
                : WireForming::of($course, $number, $steps);
            $numbers[$kind] = $number + 1;
        }

        return $wires;
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

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\View;
use Hebra\Core\Handwork\Operation;

/**
 * The picture of a step, computed, at true proportions: the part it works on as it was and as it is, and where the
 * hands
 * are; the whole piece where a step works on none alone.
 */
final readonly class FormingPicture
{
    private const MUCH_MORE = 1.5;

    /** What ends no farther from where it did is not moved. */
    private const STILL_MM = 0.05;

    /** What is bound lies no farther from its frame. */
    private const NEAR_MM = 2.2;

    /** Of its points so many are looked at. */
    private const EVERY = 7;

    /** How finely a wire is followed to see how far it reaches. */
    private const FINE_MM = 0.5;

    /** @var list<string> what the step works on */
    public array $marks;

    private function __construct(public ?Look $before, public Look $after, private Step $step)
    {
        $this->marks = $step->marks;
    }

    /** @param  int  $step  its place, from 0, among what is done once and what is done for one piece */
    public static function of(Plan $plan, FormingStates $states, int $step, View $view = View::Front): self
    {
        $told = $states->step($step);
        $part = $states->part($step);
        if ($part === null) {
            return new self(null, self::finishedPiece($plan, $view), $told);
        }
        [$was, $from] = [$states->wires($part, $step, true), $states->from($part, $view)];
        if ($told->operation === Operation::Bend && self::isUnchanged($part, $states, $step)) {
            // What is bent as a whole once it is finished lies in the piece as it is then.
            return new self($states->look($part, $was, $from), self::finishedPiece($plan, $view), $told);
        }
        if ($told->operation === Operation::Bind && self::floats($part, $states, $step)) {
            [$without, $with] = self::finished($part, $states, $step);

            return new self($states->look($part, $without, $from), $states->look($part, $with, $from), $told);
        }
        // Of many that are hooked on alike the first is looked at.
        $hanging = $told->operation === Operation::Hook ? $plan->hanging(($told->each ?? $told)->parts) : [];
        $after = count($hanging) > 1
            ? self::joined($hanging, $states, $step, $view)
            : $states->look($part, $states->wires($part, $step), $from);
        // What is turned over was seen from the front.
        $before = $told->operation === Operation::TurnOver ? $states->from($part, View::Front) : $from;

        return new self(
            $told->operation === Operation::Cut ? null : $states->look($part, $was, $before), $after, $told,
        );
    }

    private static function isUnchanged(PartPlan $part, FormingStates $states, int $step): bool
    {
        $after = $states->wires($part, $step);
        foreach ($states->wires($part, $step, true) as $at => $course) {
            foreach ($course->curves() as $move => $curve) {
                [$was, $is] = [$curve->ends(), $after[$at]->curves()[$move]->ends()];
                if ($was !== null && $is !== null && $was[1]->minus($is[1])->lengthMm() > self::STILL_MM) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Whether what is bound lies where its frame, another wire, will only be once it is bent: it is looked at there.
     */
    private static function floats(PartPlan $part, FormingStates $states, int $step): bool
    {
        [$bound, $held, $hasFrame] = [[], [], false];
        foreach ($states->wires($part, $step) as $course) {
            $points = array_merge(...array_map(
                fn (string $mark): array => $course->marked($mark)->points(self::FINE_MM),
                $states->step($step)->marks,
            ));
            array_push($bound, ...$points);
            array_push($held, ...self::heldBy($course, $points === []));
            $hasFrame = $hasFrame || $points === [];
        }
        $off = array_filter(
            $bound, fn (Vector $at, int $place): bool => $place % self::EVERY === 0 && ! self::isHeld($at, $held),
            ARRAY_FILTER_USE_BOTH,
        );

        return $hasFrame && $held !== [] && count($off) > count($bound) / self::EVERY / 2;
    }

    /** @param  list<Vector>  $held */
    private static function isHeld(Vector $at, array $held): bool
    {
        foreach ($held as $one) {
            if (abs($one->x - $at->x) < self::NEAR_MM && abs($one->y - $at->y) < self::NEAR_MM
                && $one->minus($at)->lengthMm() < self::NEAR_MM) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Vector> its beads, and the wire itself where it is a frame */
    private static function heldBy(Course $course, bool $isFrame): array
    {
        $held = [];
        foreach ($course->curves() as $place => $curve) {
            array_push($held, ...($isFrame ? $curve->points(self::FINE_MM) : []));
            foreach ($course->moves[$place]->standing($curve) as [, $at]) {
                $held[] = $at;
            }
        }

        return $held;
    }

    /**
     * @return array{list<Course>, list<Course>} the finished part without what a step binds on, and with it
     */
    private static function finished(PartPlan $part, FormingStates $states, int $step): array
    {
        $all = $states->wires($part, $states->count() - 1);
        $isBound = fn (Course $course): bool => array_filter(
            $states->step($step)->marks, fn (string $mark): bool => $course->marked($mark)->spans !== [],
        ) !== [];

        return [array_values(array_filter($all, fn (Course $course): bool => ! $isBound($course))), $all];
    }

    /**
     * From where what a step forms is seen best: from the front, or the side where it shows much more of it; what is
     * turned over, from the back.
     */
    public static function bestView(FormingStates $states, int $step): View
    {
        $operation = $states->step($step)->operation;
        if ($operation === Operation::TurnOver) {
            return View::Back;
        }
        // What is hooked on is seen from the front, and so is what is hammered flat.
        if (! $operation->forms() || in_array($operation, [Operation::Hook, Operation::Hammer], true)) {
            return View::Front;
        }
        $part = $states->part($step);
        if ($part === null) {
            return View::Front;
        }
        $points = [];
        $thickMm = 0.0;
        foreach ($states->wires($part, $step) as $course) {
            $thickMm = max($thickMm, $part->wireOf($course->role)->diameterMm());
            $marks = $states->step($step)->marks;
            foreach ($operation === Operation::Bend ? $course->bent($marks) : $marks as $mark) {
                array_push($points, ...$course->marked($mark)->about());
            }
        }
        $isAside = self::areaSeen($points, $thickMm, View::Side)
            > self::MUCH_MORE * self::areaSeen($points, $thickMm, View::Front);

        return $isAside ? View::Side : View::Front;
    }

    /**
     * How much room what is worked on takes as it is seen, with the thickness of its wire.
     *
     * @param  list<Vector>  $points
     */
    private static function areaSeen(array $points, float $thickMm, View $view): float
    {
        $seen = Seen::from($view);
        $page = array_map($seen->page(...), $points);
        [$xs, $ys] = [array_column($page, 0), array_column($page, 1)];

        return $xs === [] || $ys === [] ? 0.0 : (max($xs) - min($xs) + $thickMm) * (max($ys) - min($ys) + $thickMm);
    }

    private static function finishedPiece(Plan $plan, View $view): Look
    {
        return new Look(fn (Glimpse $glimpse): PieceFigure => $glimpse->from($plan->seen($view)->flat()));
    }

    /**
     * What is hooked into each other, as it is formed so far, one in the eye of the other.
     *
     * @param  list<array{Instance, bool}>  $hanging  from above
     */
    private static function joined(array $hanging, FormingStates $states, int $step, View $view): Look
    {
        $placed = $poses = $eyes = [];
        foreach ($hanging as [$instance, $facing]) {
            $part = $instance->part;
            $from = $states->from($part, $view, $part->showsFace($facing) ? 0.0 : 90.0);
            $eye = $eyes[$instance->above ?? ''][$instance->eye] ?? null;
            $pose = $eye === null ? new Pose : $poses[$instance->above ?? '']->below($eye);
            [$poses[$instance->name], $eyes[$instance->name]] = [$pose, PartDrawing::of($part, $facing, $view)->eyes];
            $placed[] = [$states->look($part, $states->wires($part, $step), $from), $pose];
        }

        return new Look(fn (Glimpse $glimpse): PieceFigure => Assembly::laid(array_map(
            fn (array $one): array => [$one[0]->taking($glimpse->on($one[1])), $one[1]], $placed,
        )));
    }

    /** The whole of a figure, to be placed. */
    public static function whole(PieceFigure $figure): Assembly
    {
        return new Assembly([[$figure, new Pose]]);
    }

    /**
     * Where the hands are, as Focus has it.
     *
     * @return array{float, float, float, float} left, top, right, bottom, mm
     */
    public function focus(Look $look): array
    {
        return (new Focus($this->step, $this->marks))->of($look, $this->before);
    }

    /** Whether what is worked on is still there when it is done: not, of what is cut off whole. */
    public function isLeft(): bool
    {
        return (new Focus($this->step, $this->marks))->isOn($this->after);
    }
}

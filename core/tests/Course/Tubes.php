<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Vector;
use Hebra\Core\Plan\PartPlan;

/**
 * The wires of a part as bodies: round, as thick as they are, cut off flat at their ends. Inside a bead they share its
 * hole, which is reckoned by its own check; cord and thread are soft, passes of a weave are pulled between each other,
 * turns of a close coil lie as they are wound. Millimetres.
 */
final class Tubes
{
    /** How far apart the places are that are compared. */
    private const STEP_MM = 0.25;

    /** As large as the thickest wires are. */
    private const CELL_MM = 2.1;

    /** Round a bead's middle line, as wide as a hole is bored. */
    private const BORE_MM = 1.6;

    /** What is pulled between its own kind, or wound close: a coil that is itself coiled presses inside of its bend. */
    private const CLOSE = [SegmentKind::Weave->value, SegmentKind::Coil->value];

    /** A wire is no neighbour of itself within so many thicknesses. */
    private const ITSELF = 2.5;

    /**
     * @return array<string, float> how far two stretches stand in each other at most, in thicknesses of the thinner, by
     *     what they become: `loop × wraps`, of two wires `two: arch × leg`
     */
    public static function pressed(PartPlan $plan): array
    {
        $cells = $pressed = [];
        foreach (self::places($plan) as $one) {
            [$x, $y, $z] = [
                (int) floor($one[0]->x / self::CELL_MM), (int) floor($one[0]->y / self::CELL_MM),
                (int) floor($one[0]->z / self::CELL_MM),
            ];
            for ($near = 0; $near < 27; $near++) {
                $cell = self::cell($x + $near % 3 - 1, $y + intdiv($near, 3) % 3 - 1, $z + intdiv($near, 9) - 1);
                foreach ($cells[$cell] ?? [] as $other) {
                    $into = self::into($one, $other);
                    if ($into > 0.1) {
                        $key = self::words($one, $other);
                        $pressed[$key] = max($pressed[$key] ?? 0.0, $into);
                    }
                }
            }
            $cells[self::cell($x, $y, $z)][] = $one;
        }

        return $pressed;
    }

    /** @return list<array{Vector, int, float, float, string}> place, which wire, how far on, how thick, what it becomes */
    private static function places(PartPlan $plan): array
    {
        $places = $holes = [];
        foreach ($plan->settled() as $number => $course) {
            if (! $course->isWire || $course->colour !== '' || $plan->part->technique === 'strand') {
                continue;
            }
            $thick = $plan->wireOf($course->role)->diameterMm();
            $of = self::along($course);
            [$first, $last] = $of === [] ? [0.0, 0.0] : [$of[0][1], $of[count($of) - 1][1]];
            foreach ($of as [$at, $mm, $becomes, $wide]) {
                // Cut off flat: no body beyond the end.
                if ($mm - $first >= $thick / 2 && $last - $mm >= $thick / 2) {
                    $places[] = [$at, $number, $mm, min($thick, $wide ?? $thick), $becomes];
                }
            }
            foreach ($course->curves() as $move => $curve) {
                array_push($holes, ...$course->moves[$move]->standing($curve));
            }
        }

        return array_values(array_filter($places, fn (array $place): bool => ! self::isInside($place[0], $holes)));
    }

    /** @return list<array{Vector, float, string, float|null}> of what is seen of it in the finished piece */
    private static function along(Course $course): array
    {
        [$along, $mm, $last] = [[], 0.0, null];
        foreach ($course->curves() as $move => $curve) {
            foreach ($curve->points(self::STEP_MM) as $at) {
                $mm += $last === null ? 0.0 : $at->minus($last)->lengthMm();
                $last = $at;
                if ($course->moves[$move]->isSeen()) {
                    $of = $course->moves[$move];
                    $along[] = [$at, $mm, $of->segment->kind->value, $of->wideMm];
                }
            }
        }

        return $along;
    }

    /** @param  list<array{\Hebra\Core\Course\Threaded, Vector, Vector}>  $holes */
    private static function isInside(Vector $at, array $holes): bool
    {
        foreach ($holes as [$run, $middle, $ahead]) {
            $off = $at->minus($middle);
            $along = $off->dot($ahead);
            if (abs($along) < $run->bead->lengthMm / 2
                && $off->minus($ahead->times($along))->lengthMm() < self::BORE_MM) {
                return true;
            }
        }

        return false;
    }

    private static function cell(int $x, int $y, int $z): int
    {
        return (($x + 1000) * 10_000 + $y + 1000) * 10_000 + $z + 1000;
    }

    /**
     * @param  array{Vector, int, float, float, string}  $one
     * @param  array{Vector, int, float, float, string}  $other
     */
    private static function into(array $one, array $other): float
    {
        $touch = ($one[3] + $other[3]) / 2;
        [$at, $there] = [$one[0], $other[0]];
        $square = ($at->x - $there->x) ** 2 + ($at->y - $there->y) ** 2 + ($at->z - $there->z) ** 2;
        $isItself = $one[1] === $other[1] && abs($one[2] - $other[2]) < self::ITSELF * $touch;
        $isWoven = in_array($one[4], self::CLOSE, true) && $other[4] === $one[4];

        return $square >= $touch ** 2 || $isItself || $isWoven
            ? 0.0
            : ($touch - sqrt($square)) / min($one[3], $other[3]);
    }

    /**
     * @param  array{Vector, int, float, float, string}  $one
     * @param  array{Vector, int, float, float, string}  $other
     */
    private static function words(array $one, array $other): string
    {
        $both = [$one[4], $other[4]];
        sort($both);

        return ($one[1] === $other[1] ? '' : 'two: ').implode(' × ', $both);
    }
}

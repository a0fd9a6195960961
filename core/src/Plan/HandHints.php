<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\View;
use Hebra\Core\Handwork\Operation;

/**
 * How hands move a wire at a step, read off the wire as it was and as it is: which way an eye is turned, which way
 * wraps go round, where a bend takes the end, where the cutter stands.
 */
final readonly class HandHints
{
    private const FINE_MM = 0.2;

    /** From so many degrees on a bend goes round. */
    private const ROUND = 200.0;

    /** What turns less is bent with the fingers; nothing wider than a bangle's rod is one. */
    private const ROUND_A_ROD = 60.0;

    private const WIDEST_ROD_MM = 40.0;

    /** Of what faces the viewer so much of its length is seen at least. */
    private const FACING = 0.94;

    /** So much of its radius a bend may be off a round. */
    private const AS_ROUND = 0.08;

    /** Where along the wire, from what stays, a bend is told: as near as a hand holds it. */
    private const HELD_MM = 9.0;

    /** A point that goes no farther is not moved. */
    private const STILL_MM = 0.8;

    private const DOWN = 90.0;

    /** So far a block is seen beyond what lies on it; so many hammers at most. */
    private const BLOCK_MM = 3.0;

    private const MOST_TAPS = 2;

    /** Of fewer it cannot be told which way it goes round. */
    private const LEAST_POINTS = 12;

    /** What goes round an axis that points so nearly to the viewer is no winding seen from its side. */
    private const SEEN_ASIDE = 0.4;

    private function __construct(private FormingStates $states, private Seen $seen, private PartPlan $part)
    {
    }

    /**
     * @param  int  $step  its place, from 0
     * @return list<HandHint> in the millimetres of its picture
     */
    public static function of(FormingStates $states, int $step, View $view): array
    {
        $part = $states->part($step);

        return $part === null
            ? []
            : (new self($states, Seen::from($view), $part))->at($step);
    }

    /**
     * The pliers that do it: in the eye that is turned, or holding the loop that is wrapped shut.
     *
     * @param  int  $step  its place, from 0
     * @return list<Jaw> in the millimetres of its picture
     */
    public static function jaws(FormingStates $states, int $step, View $view): array
    {
        $part = $states->part($step);
        $operation = $states->step($step)->operation;
        if ($part === null) {
            return [];
        }
        $hints = new self($states, Seen::from($view), $part);

        return match ($operation) {
            Operation::Eye => $hints->turning($step),
            Operation::Wrap => $hints->holding($step),
            Operation::Crimp => $hints->pressing($step),
            default => [],
        };
    }

    /**
     * What lies under a wire at a step: a rod seen from its end, that it is bent round, or the block that it is
     * hammered on; null where it is in the hands alone.
     *
     * @param  int  $step  its place, from 0
     */
    public static function under(FormingStates $states, int $step, View $view): ?Jaw
    {
        $part = $states->part($step);
        $operation = $states->step($step)->operation;
        $hints = $part === null ? null : new self($states, Seen::from($view), $part);

        return match ($operation) {
            Operation::Bend, Operation::Coil => $hints?->rod($step),
            Operation::Hammer => $hints?->block($step),
            default => null,
        };
    }

    private function block(int $step): ?Jaw
    {
        $page = array_map($this->seen->page(...), $this->aboutMarked($step));
        if ($page === []) {
            return null;
        }
        [$x, $y, $reach] = self::extent($page);

        return new Jaw(false, $x, $y, $reach + self::BLOCK_MM);
    }

    /** @return list<Curve> every stretch that a step works on, as it lies before it */
    private function marked(int $step): array
    {
        $marked = [];
        foreach ($this->states->wires($this->part, $step, true) as $course) {
            foreach ($this->states->step($step)->marks as $mark) {
                $marked[] = $course->marked($mark);
            }
        }

        return array_values(array_filter($marked, fn (Curve $curve): bool => $curve->spans !== []));
    }

    /** @return list<Vector> about as far as all of them reach */
    private function aboutMarked(int $step): array
    {
        return array_merge(...array_map(fn (Curve $curve): array => $curve->about(), $this->marked($step)));
    }

    /** @return list<Jaw> on what is pressed, which is named last, from aside */
    private function pressing(int $step): array
    {
        $mark = array_slice($this->states->step($step)->marks, -1)[0] ?? '';
        foreach ($this->states->wires($this->part, $step) as $course) {
            $pressed = array_map($this->seen->page(...), $course->marked($mark)->points(self::FINE_MM));
            if ($pressed !== []) {
                return [new Jaw(false, ...self::extent($pressed))];
            }
        }

        return [];
    }

    /** @return list<HandHint> in the middle of each stretch that is hammered */
    private function taps(int $step): array
    {
        return array_map(function (Curve $curve): HandHint {
            $points = $curve->points(self::FINE_MM);
            [$x, $y] = $this->seen->page($points[intdiv(count($points), 2)]);

            return new HandHint(HandHint::TAP, $x, $y, self::BLOCK_MM);
        }, $this->marked($step));
    }

    /** @return list<HandHint> half round an axis that runs down the page */
    private function turnedOver(int $step): array
    {
        $page = array_map($this->seen->page(...), $this->aboutMarked($step));
        if ($page === []) {
            return [];
        }
        [$x, $y, $reach] = self::extent($page);

        return [new HandHint(HandHint::WIND, $x, $y, $reach, 1.0, self::DOWN)];
    }

    /** @return list<HandHint> at the free ends of what is filed */
    private function filed(int $step): array
    {
        $hints = [];
        foreach ($this->states->wires($this->part, $step) as $course) {
            $curves = array_values(array_filter(
                $course->curves(), fn (Curve $curve): bool => $curve->lengthMm() > self::STILL_MM,
            ));
            $marks = $this->states->step($step)->marks;
            foreach ([[0, false], [count($curves) - 1, true]] as [$at, $isLast]) {
                $points = isset($curves[$at]) ? $curves[$at]->points(self::FINE_MM) : [];
                $isFiled = array_filter(
                    $marks, fn (string $mark): bool => self::ends($course->marked($mark), $points, $isLast),
                );
                if ($isFiled !== []) {
                    $hints[] = $this->fileAt($isLast ? array_reverse($points) : $points);
                }
            }
        }

        return $hints;
    }

    /**
     * Whether a stretch has the same end as its wire.
     *
     * @param  list<Vector>  $points
     */
    private static function ends(Curve $stretch, array $points, bool $isLast): bool
    {
        $own = $stretch->points(self::FINE_MM);
        if ($own === [] || $points === []) {
            return false;
        }
        [$one, $other] = $isLast ? [end($own), end($points)] : [$own[0], $points[0]];

        return $one->minus($other)->lengthMm() < self::STILL_MM;
    }

    /** @param  list<Vector>  $points  from the end on */
    private function fileAt(array $points): HandHint
    {
        [$x, $y] = $this->seen->page($points[0]);
        [$onX, $onY] = $this->seen->page($points[min(count($points) - 1, 6)]);

        return new HandHint(HandHint::FILE, $x, $y, self::BLOCK_MM, rad2deg(atan2($y - $onY, $x - $onX)));
    }

    private function rod(int $step): ?Jaw
    {
        foreach ($this->states->wires($this->part, $step) as $course) {
            foreach ($course->bent($this->states->step($step)->marks) as $mark) {
                $bend = $course->marked($mark);
                $page = array_map($this->seen->page(...), $bend->points(self::FINE_MM));
                $rod = self::about($page, $this->part->wireOf($course->role)->diameterMm());
                // What bends away from the eye lies round a rod that is not seen from its end.
                if ($rod !== null && self::lengthOf($page) > self::FACING * $bend->lengthMm()) {
                    return $rod;
                }
            }
        }

        return null;
    }

    /** @param  list<array{float, float}>  $way */
    private static function lengthOf(array $way): float
    {
        $length = 0.0;
        for ($at = 1; $at < count($way); $at++) {
            $length += hypot($way[$at][0] - $way[$at - 1][0], $way[$at][1] - $way[$at - 1][1]);
        }

        return $length;
    }

    /**
     * The round in which all of a way lies, if it is one and turns far enough.
     *
     * @param  list<array{float, float}>  $way
     */
    private static function about(array $way, float $wireMm): ?Jaw
    {
        if (count($way) < self::LEAST_POINTS || abs(self::turns($way)) < self::ROUND_A_ROD) {
            return null;
        }
        [[$ax, $ay], [$bx, $by], [$cx, $cy]] = [$way[0], $way[intdiv(count($way), 2)], $way[count($way) - 1]];
        $twice = 2 * (($bx - $ax) * ($cy - $ay) - ($by - $ay) * ($cx - $ax));
        if (abs($twice) < 1e-6) {
            return null;
        }
        [$b, $c] = [($bx - $ax) ** 2 + ($by - $ay) ** 2, ($cx - $ax) ** 2 + ($cy - $ay) ** 2];
        [$x, $y] = [
            $ax + ($b * ($cy - $ay) - $c * ($by - $ay)) / $twice, $ay + ($c * ($bx - $ax) - $b * ($cx - $ax)) / $twice,
        ];
        $radius = hypot($ax - $x, $ay - $y);
        $off = max(array_map(fn (array $at): float => abs(hypot($at[0] - $x, $at[1] - $y) - $radius), $way));

        return $radius > self::WIDEST_ROD_MM || $radius < $wireMm || $off > self::AS_ROUND * $radius
            ? null
            : new Jaw(true, $x, $y, $radius - $wireMm / 2);
    }

    /** @return list<Jaw> of the first eye that the step turns */
    private function turning(int $step): array
    {
        $before = $this->states->wires($this->part, $step, true);
        foreach ($this->states->wires($this->part, $step) as $at => $course) {
            foreach (isset($before[$at]) ? $this->states->step($step)->marks : [] as $mark) {
                $jaws = $this->round($before[$at]->marked($mark), $course->marked($mark), $this->part->wireOf(
                    $course->role,
                )->diameterMm());
                if ($jaws !== []) {
                    return $jaws;
                }
            }
        }

        return [];
    }

    /** @return list<Jaw> nothing of what is no eye */
    private function round(Curve $before, Curve $after, float $wireMm): array
    {
        $way = array_map($this->seen->page(...), self::fromWhatStays($before, $after));
        // As it lies in the jaws before it is turned.
        $lies = array_map($this->seen->page(...), self::fromWhatStays($after, $before));
        $turns = count($way) < self::LEAST_POINTS ? 0.0 : self::turns($way);
        if (count($lies) < self::LEAST_POINTS || $way === [] || abs($turns) < self::ROUND) {
            return [];
        }
        $radius = self::extent($way)[2] - $wireMm / 2;

        [$x, $y] = [$lies[3][0] - $lies[0][0], $lies[3][1] - $lies[0][1]];
        // To the side to which it turns, as far as both are thick.
        $aside = ($radius + $wireMm / 2) * ($turns <=> 0.0) / max(1e-9, hypot($x, $y));

        return $radius < $wireMm / 2 ? [] : Jaw::pair($lies[0], [-$y * $aside, $x * $aside], $radius);
    }

    /** @return list<Jaw> on the loop beside the wraps, from the side to which the end does not stand */
    private function holding(int $step): array
    {
        foreach ($this->states->wires($this->part, $step, true) as $course) {
            foreach ($this->states->step($step)->marks as $mark) {
                $loop = array_map($this->seen->page(...), $course->marked(str_replace('wraps', 'loop', $mark))->points(
                    self::FINE_MM,
                ));
                $end = array_map($this->seen->page(...), $course->marked($mark)->points(self::FINE_MM));
                if (! str_contains($mark, 'wraps') || $loop === [] || $end === []) {
                    continue;
                }
                [$x, $y, $radius] = self::extent($loop);
                $isToRight = $end[count($end) - 1][0] > $x;

                return [new Jaw(false, $x, $y, $radius, $isToRight ? 180.0 : 0.0)];
            }
        }

        return [];
    }

    /** @return list<HandHint> */
    private function at(int $step): array
    {
        $told = $this->states->step($step);
        if ($told->operation === Operation::Hammer) {
            return array_slice($this->taps($step), 0, self::MOST_TAPS);
        }
        if ($told->operation === Operation::File) {
            return array_slice($this->filed($step), 0, self::MOST_TAPS);
        }
        if ($told->operation === Operation::TurnOver) {
            return $this->turnedOver($step);
        }
        [$before, $after] = [
            $this->states->wires($this->part, $step, true), $this->states->wires($this->part, $step),
        ];
        $hints = [];
        foreach ($after as $at => $course) {
            $was = $before[$at] ?? null;
            if ($was === null || count($was->moves) !== count($course->moves)) {
                continue;
            }
            $marks = $told->operation === Operation::Bend ? $course->bent($told->marks) : $told->marks;
            foreach ($marks as $mark) {
                $hints[] = match ($told->operation) {
                    Operation::Trim => $this->cut($was, $course, $mark),
                    Operation::Wrap, Operation::Bind, Operation::Coil => $this->wound($was, $course, $mark),
                    Operation::Eye, Operation::Spiral, Operation::Bend => $this->bent($was, $course, $mark),
                    default => null,
                };
            }
        }

        $hints = array_values(array_filter($hints));

        // Two strands wound together go one way.
        return ($hints[0]->kind ?? '') === 'wind' ? [$hints[0]] : array_slice($hints, 0, 2);
    }

    /** Where a stretch is cut that is there before and not after. */
    private function cut(Course $was, Course $is, string $mark): ?HandHint
    {
        [$before, $after] = [$was->curves(), $is->curves()];
        foreach ($was->moves as $at => $move) {
            $isOff = $before[$at]->lengthMm() > self::STILL_MM && $after[$at]->lengthMm() < 1e-6;
            if ($move->segment->mark === $mark && $isOff) {
                return $this->cutAt(
                    $before[$at], self::isGone($was, $at + 1), $this->part->wireOf($was->role)->diameterMm(),
                );
            }
        }

        return null;
    }

    /** @param  bool  $isLast  whether what goes off is the last of its wire, else the first */
    private function cutAt(Curve $curve, bool $isLast, float $wireMm): HandHint
    {
        $points = $curve->points(self::FINE_MM);
        $way = $isLast ? $points : array_reverse($points);
        [$x, $y] = $this->seen->page($way[0]);
        [$onX, $onY] = $this->seen->page($way[min(count($way) - 1, 6)]);

        return new HandHint(HandHint::CUT, $x, $y, $wireMm, rad2deg(atan2($onY - $y, $onX - $x)));
    }

    private static function isGone(Course $course, int $from): bool
    {
        $rest = array_slice($course->moves, $from);

        return array_filter($rest, fn (Move $move): bool => $move->segment->kind->stays()) === [];
    }

    /** Which way it goes round on the near side, where it begins. */
    private function wound(Course $was, Course $is, string $mark): ?HandHint
    {
        [$before, $after] = [$was->marked($mark), $is->marked($mark)];
        $points = self::fromWhatStays($before, $after);
        if (count($points) < self::LEAST_POINTS) {
            return null;
        }
        $first = self::middle(array_slice($points, 0, intdiv(count($points), 3)));
        $axis = $this->seen->turned(self::axis($points));
        if (hypot($axis->x, $axis->y) < self::SEEN_ASIDE * $axis->lengthMm()) {
            return null;
        }
        $near = $this->nearest($points);
        $runs = $this->seen->turned($points[$near + 1]->minus($points[$near]));
        [$x, $y] = $this->seen->page($first);
        $reach = max(0.0, ...array_map(
            fn (Vector $one): float => $one->minus($first)->lengthMm(),
            array_slice($points, 0, intdiv(count($points), 3)),
        ));

        $isToRight = $axis->x * $runs->y - $axis->y * $runs->x > 0.0;

        return new HandHint(
            HandHint::WIND, $x, $y, $reach, $isToRight ? 1.0 : -1.0, rad2deg(atan2($axis->y, $axis->x)),
        );
    }

    /**
     * About what a wire goes round, on the whole: the sum of what each of its corners turns about.
     *
     * @param  list<Vector>  $points
     */
    private static function axis(array $points): Vector
    {
        $axis = new Vector(0.0, 0.0);
        for ($at = 2; $at < count($points); $at++) {
            $axis = $axis->plus(
                $points[$at - 1]->minus($points[$at - 2])->cross($points[$at]->minus($points[$at - 1])),
            );
        }

        return $axis;
    }

    /**
     * The place of the point of the first turn that lies nearest to the viewer.
     *
     * @param  list<Vector>  $points
     */
    private function nearest(array $points): int
    {
        $near = 0;
        foreach (array_slice($points, 0, max(2, intdiv(count($points), 2))) as $at => $point) {
            $near = $this->seen->turned($point)->z > $this->seen->turned($points[$near])->z ? $at : $near;
        }

        return min($near, count($points) - 2);
    }

    private function bent(Course $was, Course $is, string $mark): ?HandHint
    {
        [$before, $after] = [$was->marked($mark), $is->marked($mark)];
        if ($before->lengthMm() < 1.0 || $after->lengthMm() < 1.0) {
            return null;
        }
        $isReversed = self::isReversed($before, $after);
        /** @var non-empty-list<array{float, float}> $way */
        $way = array_map($this->seen->page(...), self::fromWhatStays($before, $after));
        $turns = self::turns($way);
        if (abs($turns) >= self::ROUND) {
            return self::turned($way, $turns);
        }
        $mm = min(self::HELD_MM, $before->lengthMm(), $after->lengthMm());
        [[$x, $y], [$toX, $toY]] = [
            $this->pageAt($before, $mm, $isReversed), $this->pageAt($after, $mm, $isReversed),
        ];

        $far = hypot($toX - $x, $toY - $y);

        return $far < self::STILL_MM
            ? null
            : new HandHint(HandHint::SWING, $x, $y, $far, toXMm: $toX, toYMm: $toY);
    }

    /**
     * As hands go along it: from the end that stays where it is.
     *
     * @return list<Vector>
     */
    private static function fromWhatStays(Curve $before, Curve $after): array
    {
        $points = $after->points(self::FINE_MM);

        return self::isReversed($before, $after) ? array_reverse($points) : $points;
    }

    /** Whether its last end stays, and its first is moved. */
    private static function isReversed(Curve $before, Curve $after): bool
    {
        [$from, $to] = [$before->ends(), $after->ends()];

        return $from !== null && $to !== null
            && $from[0]->minus($to[0])->lengthMm() > $from[1]->minus($to[1])->lengthMm();
    }

    /** @return array{float, float} */
    private function pageAt(Curve $curve, float $mm, bool $isReversed): array
    {
        return $this->seen->page($curve->at($isReversed ? $curve->lengthMm() - $mm : $mm)[0]);
    }

    /**
     * The middle of what is seen, and half of how far it reaches.
     *
     * @param  non-empty-list<array{float, float}>  $way
     * @return array{float, float, float}
     */
    private static function extent(array $way): array
    {
        [$xs, $ys] = [array_column($way, 0), array_column($way, 1)];

        return [
            (min($xs) + max($xs)) / 2, (min($ys) + max($ys)) / 2,
            max(max($xs) - min($xs), max($ys) - min($ys)) / 2,
        ];
    }

    /** @param  non-empty-list<array{float, float}>  $way */
    private static function turned(array $way, float $turns): HandHint
    {
        [$x, $y, $radius] = self::extent($way);

        return new HandHint(
            HandHint::TURN, $x, $y, $radius, $turns, rad2deg(atan2($way[0][1] - $y, $way[0][0] - $x)),
        );
    }

    /**
     * How far a way turns in all, degrees, clockwise as the page is seen.
     *
     * @param  non-empty-list<array{float, float}>  $way
     */
    private static function turns(array $way): float
    {
        $turns = 0.0;
        $last = null;
        foreach (range(1, count($way) - 1) as $at) {
            $now = [$way[$at][0] - $way[$at - 1][0], $way[$at][1] - $way[$at - 1][1]];
            if (hypot(...$now) < 1e-4) {
                continue;
            }
            $turns += $last === null
                ? 0.0
                : rad2deg(atan2($last[0] * $now[1] - $last[1] * $now[0], $last[0] * $now[0] + $last[1] * $now[1]));
            $last = $now;
        }

        return $turns;
    }

    /** @param  list<Vector>  $points */
    private static function middle(array $points): Vector
    {
        $sum = array_reduce($points, fn (Vector $sum, Vector $one): Vector => $sum->plus($one), new Vector(0.0, 0.0));

        return $sum->times(1 / max(1, count($points)));
    }
}

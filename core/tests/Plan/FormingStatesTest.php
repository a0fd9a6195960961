<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Hands;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/**
 * A wire while it is made: what is made lies as it will, the rest is straight, and step by step it becomes the piece.
 */
final class FormingStatesTest extends TestCase
{
    private static function move(string $mark, float $mm, Arc|Straight $shape): Move
    {
        return new Move(
            Segment::given(SegmentKind::Arch, $mm, $mark, $mark, 'for the test', 'the test'), $shape,
        );
    }

    /**
     * 10 mm down, half a turn of 4 mm to the right, 10 mm up: with the turn still to come the wire is 20 + 4π long and
     * straight; with it made the last stretch comes back beside the first, 8 mm off.
     */
    public function test_what_is_not_made_is_straight_and_as_long(): void
    {
        $course = new Course('wire', 'wire', [
            self::move('first', 10.0, new Straight(10.0)), self::move('turn', 4 * M_PI, new Arc(4.0, M_PI)),
            self::move('last', 10.0, new Straight(10.0)),
        ], Frame::down(0.0));
        $end = function (array $made) use ($course): Vector {
            $curves = $course->formed($made);
            $last = $curves[2]->spans;

            return $last[count($last) - 1]->to;
        };
        self::assertEqualsWithDelta(20 + 4 * M_PI, $end([])->y, 1e-9);
        self::assertEqualsWithDelta(0.0, $end([])->x, 1e-9);
        self::assertEqualsWithDelta(0.0, $end([1 => 1.0])->y, 1e-9);
        self::assertEqualsWithDelta(8.0, abs($end([1 => 1.0])->x), 1e-9);
    }

    /**
     * @return iterable<string, array{Plan, FormingStates, PartPlan, int}> each part of each pattern with its last step
     */
    private static function parts(): iterable
    {
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            $states = new FormingStates($plan);
            foreach ($plan->parts() as $id => $part) {
                if (! $part->technique->isBought($part->part)) {
                    yield "{$name}, {$id}" => [$plan, $states, $part, $states->count() - 1];
                }
            }
        }
    }

    private static function end(Curve $curve): ?Vector
    {
        return $curve->spans === [] ? null : $curve->spans[count($curve->spans) - 1]->to;
    }

    #[Group('wide')]
    public function test_after_the_last_step_every_wire_is_the_piece(): void
    {
        foreach (self::parts() as $name => [, $states, $part, $last]) {
            $courses = $part->settled();
            $formed = $states->wires($part, $last);
            self::assertCount(count($courses), $formed, $name);
            foreach ($courses as $wire => $course) {
                [$places, $curves] = [self::marked($formed[$wire]), $formed[$wire]->curves()];
                foreach ($course->curves() as $at => $lies) {
                    $move = $course->moves[$at];
                    if (! $move->isSeen()) {
                        continue;
                    }
                    [$one, $other] = [self::end($lies), self::end($curves[$places[$at]])];
                    $where = "{$name}: {$course->label}, {$move->segment->words}";
                    self::assertSame($one === null, $other === null, "{$where}: it is there");
                    self::assertEqualsWithDelta(
                        0.0, $one === null || $other === null ? 0.0 : $one->minus($other)->lengthMm(), 0.02, $where,
                    );
                    self::assertCount(
                        count($move->threaded()), $formed[$wire]->moves[$places[$at]]->threaded(),
                        "{$name}: {$course->label} has its beads",
                    );
                }
            }
        }
    }

    /** @return list<int> the places of its moves but for what is left of those that are made bit by bit */
    private static function marked(Course $course): array
    {
        return array_keys(array_filter($course->moves, fn (Move $move): bool => $move->segment->mark !== ''));
    }

    /**
     * What forms wire is seen to: another wire after it than before, or, where the form does not change, the hands
     * and tools on it, or the finished piece that is bent as a whole.
     */
    #[Group('wide')]
    public function test_every_step_that_forms_shows_what_it_does(): void
    {
        $seen = 0;
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            $states = new FormingStates($plan);
            for ($step = 0; $step < $states->count(); $step++) {
                $operation = $states->step($step)->operation;
                if ($states->part($step) === null || ! $operation->forms() || $operation === Operation::Flame) {
                    continue;
                }
                $view = FormingPicture::bestView($states, $step);
                $picture = FormingPicture::of($plan, $states, $step, $view);
                $hands = Hands::of($states, $step, $view);
                [$before, $after] = [$picture->before?->whole(), $picture->after->whole()];
                self::assertTrue(
                    $before != $after || $hands->jaws !== [] || $hands->under !== null,
                    "{$name}: {$states->step($step)->title}",
                );
                // A wire is there before it is formed, unless it is the first of its part.
                self::assertNotSame(
                    [], $before->strokes ?? ['none'], "{$name}: {$states->step($step)->title}, before",
                );
                $seen++;
            }
        }
        self::assertGreaterThan(800, $seen);
    }

    /** In another order of work a wire is formed as if it were the only one: nothing is kept of the other. */
    #[Group('wide')]
    public function test_each_order_of_work_forms_its_own_states(): void
    {
        $told = fn (Plan $plan, int $step): array => array_map(
            fn (Course $course): array => array_map(
                fn (Move $move, Curve $curve): array => [
                    $move->segment->mark, count($move->threaded()), round($curve->lengthMm(), 4),
                ],
                $course->moves, $course->curves(),
            ),
            ($part = (new FormingStates($plan))->part($step)) === null
                ? []
                : (new FormingStates($plan))->wires($plan->parts()[$part->part->id->text], $step),
        );
        $compared = 0;
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            foreach ([$plan->inOperations(false), $plan->inOperations(true)] as $order => $one) {
                $alone = Planner::plan(Patterns::start($name, 'One'), new Profile)->inOperations($order === 1);
                for ($step = 0; $step < (new FormingStates($one))->count(); $step += 3) {
                    self::assertSame($told($alone, $step), $told($one, $step), "{$name}, step {$step}");
                    $compared++;
                }
            }
        }
        self::assertGreaterThan(1000, $compared);
    }

    /** What is bound on before its frame is bent is looked at on the bent one, and nowhere beside it. */
    public function test_what_is_bound_before_its_frame_is_bent_is_looked_at_on_the_bent_one(): void
    {
        $plan = Planner::plan(Patterns::start('wide-ring', 'One'), new Profile);
        $states = new FormingStates($plan);
        for ($step = 0; $step < $states->count(); $step++) {
            $part = $states->part($step);
            if ($part === null || $states->step($step)->operation !== Operation::Bind) {
                continue;
            }
            $picture = FormingPicture::of($plan, $states, $step);
            $lit = fn (?PieceFigure $figure): array => array_filter(
                $figure->strokes ?? [],
                fn (Stroke $stroke): bool => in_array($stroke->mark, $states->step($step)->marks, true),
            );
            self::assertSame([], $lit($picture->before?->whole()));
            self::assertNotSame([], $lit($picture->after->whole()));
            $inside = $part->part->mm('inside');
            foreach ([$picture->before?->whole(), $picture->after->whole()] as $figure) {
                self::assertNotNull($figure);
                [$left, , $right] = $figure->bounds();
                self::assertEqualsWithDelta($inside, $right - $left, 0.35 * $inside, 'as wide as the ring');
            }

            return;
        }
        self::fail('Nothing is bound on it.');
    }

    /** Where many are hooked on alike, one after the other or all at once, a hand's breadth is looked at. */
    public function test_what_is_hooked_on_is_looked_at_where_it_hangs(): void
    {
        $looked = 0;
        foreach (['linked-bracelet', 'chain-loop', 'centre-necklace', 'toggle-bracelet', 'cluster'] as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile)->inOperations(true);
            $states = new FormingStates($plan);
            for ($step = 0; $step < $states->count(); $step++) {
                if ($states->part($step) === null || $states->step($step)->operation !== Operation::Hook) {
                    continue;
                }
                $picture = FormingPicture::of($plan, $states, $step);
                [$left, $top, $right, $bottom] = $picture->focus($picture->after);
                self::assertLessThan(
                    40.0, max($right - $left, $bottom - $top), "{$name}: {$states->step($step)->title}",
                );
                $looked++;
            }
        }
        self::assertGreaterThan(10, $looked);
    }

    /** Of what is made bit by bit each step makes more, and all of it is as long as it was. */
    public function test_what_is_made_bit_by_bit_grows(): void
    {
        $grown = 0;
        foreach (['bound-hoop', 'stone-row-hoop', 'two-row-frame', 'woven-pendant', 'crossing-band'] as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            $states = new FormingStates($plan);
            $last = [];
            for ($step = 0; $step < $states->count(); $step++) {
                $told = $states->step($step);
                foreach ($told->shares as $mark => $share) {
                    self::assertGreaterThan($last[$mark] ?? 0.0, $share, "{$name}: {$told->title}");
                    $last[$mark] = $share;
                    $part = $states->part($step);
                    self::assertNotNull($part);
                    $after = $before = 0.0;
                    foreach ($states->wires($part, $step) as $at => $course) {
                        $after += $course->marked($mark)->lengthMm();
                        $was = $states->wires($part, $step, true)[$at] ?? null;
                        $before += $was === null ? 0.0 : $was->marked($mark)->lengthMm();
                    }
                    self::assertGreaterThan($before, $after, "{$name}: {$told->title}, {$mark}");
                    $grown++;
                }
            }
        }
        self::assertGreaterThan(12, $grown);
    }

    /** What is only filed has after it the shape it had before: what is bent there is bent later. */
    #[Group('wide')]
    public function test_a_file_bends_nothing(): void
    {
        $filed = 0;
        foreach (self::parts() as $name => [$plan, $states, $part, $last]) {
            for ($step = 1; $step <= $last; $step++) {
                if ($states->step($step)->operation !== Operation::File) {
                    continue;
                }
                foreach ($part->cuts() as $cut) {
                    self::assertSame($states->madeOf($cut, $step - 1), $states->madeOf($cut, $step), $name);
                    $filed++;
                }
            }
            unset($plan);
        }
        self::assertGreaterThan(20, $filed);
    }

    /** A tail is there until it is trimmed, or until all of its wire is made; what stays is as long at every step. */
    #[Group('wide')]
    public function test_a_wire_is_as_long_at_every_step(): void
    {
        foreach (self::parts() as $name => [$plan, $states, $part]) {
            for ($step = 0; $step < $states->count(); $step++) {
                $isOwn = $states->part($step)?->part->id === $part->part->id;
                foreach ($isOwn ? $states->wires($part, $step) : [] as $course) {
                    foreach ($course->curves() as $at => $curve) {
                        $move = $course->moves[$at];
                        $where = "{$name}: {$move->segment->words} after step {$step}";
                        $isTrimmed = ! $move->segment->kind->stays() && $curve->spans === [];
                        if ($isTrimmed) {
                            self::assertTrue($this->mayBeGone($plan, $states, $part, $course, $move, $step), $where);
                        } elseif ($move->segment->isReady()) {
                            self::assertNotSame([], $curve->spans, "{$where}: it is there from the first step on");
                        } elseif ($move->wideMm === null && $curve->spans !== [] && ! self::isAllowance($move)) {
                            $mm = $move->segment->lengthMm;
                            self::assertEqualsWithDelta($mm, $curve->lengthMm(), 0.3 * $mm + 2.0, $where);
                        }
                    }
                }
            }
        }
    }

    /** What practice allows for several passes is no length of a curve, nor is an end that is hidden in beads. */
    private static function isAllowance(Move $move): bool
    {
        return $move->segment->words === 'turned back'
            || str_contains($move->segment->working->source, 'at each end of a pass');
    }

    private function mayBeGone(
        Plan $plan, FormingStates $states, PartPlan $part, Course $course, Move $move, int $step,
    ): bool {
        for ($at = 0; $at <= $step; $at++) {
            $one = $states->step($at);
            $isCutting = $one->operation === Operation::Trim || $one->operation->forms();
            if ($isCutting && in_array($move->segment->mark, $one->marks, true)) {
                return true;
            }
        }
        foreach ($plan->strips() as $cut) {
            if ($cut->part === $part->part->id && $cut->slot === $course->slot) {
                $stays = array_keys(
                    array_filter($cut->segments, fn (Segment $segment): bool => $segment->kind->stays()),
                );

                return array_diff($stays, $states->madeOf($cut, $step)) === [];
            }
        }

        return $move->segment->lengthMm < 1e-6;
    }

    /** A move that is made stays made; every step draws something, and what it works on is in its picture. */
    #[Group('wide')]
    public function test_pictures_follow_each_other(): void
    {
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            $states = new FormingStates($plan);
            $made = [];
            for ($step = 0; $step < $states->count(); $step++) {
                foreach ($plan->strips() as $cut) {
                    $now = $states->madeOf($cut, $step);
                    self::assertSame(
                        [], array_diff($made[$cut->key()] ?? [], $now), "{$name}: {$cut->label} at step {$step}",
                    );
                    $made[$cut->key()] = $now;
                }
                $picture = FormingPicture::of($plan, $states, $step);
                $where = "{$name}: {$states->step($step)->title}";
                $after = $picture->after->whole();
                self::assertNotSame([], [...$after->strokes, ...$after->beads], $where);
                [$left, $top, $right, $bottom] = $picture->focus($picture->after);
                self::assertGreaterThan(0.0, max($right - $left, $bottom - $top), $where);
            }
            foreach ($plan->strips() as $cut) {
                $stays = array_keys(
                    array_filter($cut->segments, fn (Segment $segment): bool => $segment->kind->stays())
                );
                self::assertSame([], array_diff($stays, $made[$cut->key()]), "{$name}: {$cut->label} is made whole");
            }
        }
    }
}

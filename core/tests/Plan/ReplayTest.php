<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\WireEnd;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Steps replayed build the course: the same turns, the same way, and nothing comes over an end that is closed. */
final class ReplayTest extends TestCase
{
    /** What no bead passes once it is made. */
    private const CLOSED = [
        SegmentKind::Loop, SegmentKind::Eye, SegmentKind::Curl, SegmentKind::Wraps, SegmentKind::Foot,
        SegmentKind::Coil, SegmentKind::Binding, SegmentKind::Weave,
    ];

    /** Of a turn: the way to the first and from the last. */
    private const WAYS = 0.7;

    #[Group('wide')]
    public function test_nothing_is_threaded_over_an_end_that_is_closed(): void
    {
        $threaded = 0;
        foreach (Everything::pieces(60) as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            $states = new FormingStates($plan);
            for ($at = 0; $at < $states->count(); $at++) {
                $step = $states->step($at);
                foreach ($step->putsOn === [] ? [] : self::worked($plan, $step) as $cut) {
                    $threaded++;
                    $closed = self::closedBeyond($cut, $step, $states->madeOf($cut, $at - 1));
                    self::assertSame([], $closed, "{$name}, {$step->part}: {$step->title}");
                }
            }
        }
        self::assertGreaterThan(300, $threaded);
    }

    /** @return list<Cut> of the first of its part */
    private static function worked(Plan $plan, Step $step): array
    {
        $part = $plan->parts()[Instance::partOf($step->part)->text] ?? null;
        $first = $plan->steps() === [] ? '' : self::firstOf($plan, $step);

        return $part === null || $step->part !== $first ? [] : array_values(array_filter(
            $plan->strips(),
            fn (Cut $cut): bool => $cut->part === $part->part->id
                && $cut->key() === ($step->cut === '' ? $part->cutKey() : $step->cut),
        ));
    }

    private static function firstOf(Plan $plan, Step $step): string
    {
        foreach ($plan->steps() as $one) {
            if (Instance::partOf($one->part) === Instance::partOf($step->part)) {
                return $one->part;
            }
        }

        return '';
    }

    /**
     * @param  list<int>  $made  its stretches that are made before
     * @return list<string> what of them lies between the end that beads come over and where they go
     */
    private static function closedBeyond(Cut $cut, Step $step, array $made): array
    {
        $beads = array_column($step->putsOn, 'bead');
        $carries = fn (Strung $run): bool => in_array($run->bead, $beads, true);
        $with = [];
        foreach ($cut->segments as $at => $segment) {
            if (array_filter($segment->beads, $carries) !== []) {
                $with[] = $at;
            }
        }
        $isBeyond = fn (int $at): bool => $with !== []
            && ($step->over === WireEnd::First ? $at < min($with) : $at > max($with));
        $beyond = array_filter(
            $made, fn (int $at): bool => $isBeyond($at) && in_array($cut->segments[$at]->kind, self::CLOSED, true),
        );

        return array_values(array_map(fn (int $at): string => $cut->segments[$at]->words, $beyond));
    }

    /** Wraps are counted in the curve that is drawn: as many as the step that makes them says. */
    #[Group('wide')]
    public function test_as_many_wraps_are_drawn_as_are_said(): void
    {
        $counted = 0;
        foreach (Everything::pieces(60) as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            foreach ($plan->steps() as $step) {
                // What is made bit by bit is told of by its shares.
                if ($step->counted !== 'wraps' || $step->shares !== [] || $step->each !== null) {
                    continue;
                }
                $counted++;
                self::assertEqualsWithDelta(
                    $step->count, self::turnsDrawn($plan, $step), self::WAYS, "{$name}, {$step->part}: {$step->title}",
                );
            }
        }
        self::assertGreaterThan(150, $counted);
    }

    private static function turnsDrawn(Plan $plan, Step $step): float
    {
        $part = $plan->parts()[Instance::partOf($step->part)->text];
        $turns = 0.0;
        foreach ($part->technique->courses($part) as $course) {
            foreach ($course->curves() as $at => $curve) {
                $segment = $course->moves[$at]->segment;
                if ($segment->kind === SegmentKind::Wraps && in_array($segment->mark, $step->marks, true)) {
                    $turns += self::turned($curve) / (2 * M_PI);
                }
            }
        }

        return $turns;
    }

    /** How far it turns in all, radians. */
    private static function turned(Curve $curve): float
    {
        [$turned, $last] = [0.0, null];
        foreach ($curve->spans as $span) {
            foreach ($span->lengthMm() < 1e-6 ? [] : [0.001, 0.25, 0.5, 0.75, 0.999] as $share) {
                $runs = $span->runs($share)->unit();
                $turned += $last === null ? 0.0 : acos(max(-1.0, min(1.0, $last->dot($runs))));
                $last = $runs;
            }
        }

        return $turned;
    }

    /** A free wire grows out from where it starts: what is made of it is one stretch. */
    #[Group('wide')]
    public function test_a_free_wire_is_made_outwards(): void
    {
        $grown = 0;
        foreach (Everything::patterns() as $name => $piece) {
            $grown += self::growsOutwards($name, $piece);
        }
        self::assertGreaterThan(100, $grown);
    }

    /** @return int how many steps it grew in */
    private static function growsOutwards(string $name, Piece $piece): int
    {
        $plan = Planner::plan($piece, new Profile);
        $states = new FormingStates($plan);
        $grown = 0;
        foreach ($plan->strips() as $cut) {
            if ($plan->parts()[$cut->part->text]->part->technique !== 'free-wire') {
                continue;
            }
            for ($at = 0; $at < $states->count(); $at++) {
                $made = $states->madeOf($cut, $at);
                sort($made);
                $grown += (int) ($made !== []);
                $whole = $made === [] ? [] : range($made[0], $made[count($made) - 1]);
                self::assertSame($whole, $made, "{$name}, {$cut->label}: {$states->step($at)->title}");
            }
        }

        return $grown;
    }
}

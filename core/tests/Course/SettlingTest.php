<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Settling\Settled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Vector;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Wires that cross lie beside each other, and are otherwise what they were told to be. */
final class SettlingTest extends TestCase
{
    protected function tearDown(): void
    {
        Settled::rememberedBy(null);
    }

    private static function wire(string $label, Vector $from, Vector $ahead, float $mm, SegmentKind $kind): Course
    {
        $segment = Segment::given($kind, $mm, 'straight', '', 'given', 'the test');
        $side = $ahead->cross(new Vector(0.0, 0.0, 1.0));

        return new Course($label, 'wire', [new Move($segment, new Straight($mm))], new Frame($from, $ahead, $side));
    }

    /** @return array{Course, Course} two that cross in their middles, 20 mm long, the second so far before the first */
    private static function cross(float $beforeMm, SegmentKind $second = SegmentKind::Leg): array
    {
        return [
            self::wire('one', new Vector(-10.0, 0.0), new Vector(1.0, 0.0), 20.0, SegmentKind::Leg),
            self::wire('other', new Vector(0.0, -10.0, $beforeMm), new Vector(0.0, 1.0), 20.0, $second),
        ];
    }

    private static function apartMm(Course $one, Course $other): float
    {
        $least = INF;
        foreach ($one->curves()[0]->points(0.05) as $at) {
            foreach ($other->curves()[0]->points(0.05) as $there) {
                $least = min($least, $at->minus($there)->lengthMm());
            }
        }

        return $least;
    }

    /** Round wires touch where their middles are half of both thicknesses apart (geometry). */
    #[Group('wide')]
    public function test_two_that_cross_in_one_place_come_to_touch(): void
    {
        foreach ([0.0, 0.1, -0.3] as $before) {
            [$one, $other] = self::cross($before);
            [$first, $second] = Settled::of([[$one, 0.8], [$other, 0.5]]);
            self::assertEqualsWithDelta(0.65, self::apartMm($first, $second), 0.06);
            // The second lies on the side that it was on, and before the first where it was on none.
            $way = $second->curves()[0]->at(10.0)[0]->z - $first->curves()[0]->at(10.0)[0]->z;
            self::assertSame($before < 0.0 ? -1 : 1, $way <=> 0.0);
        }
    }

    public function test_what_is_formed_gives_less_than_what_only_leads_somewhere(): void
    {
        [$one, $other] = self::cross(0.0, SegmentKind::Round);
        [$leg, $round] = Settled::of([[$one, 0.8], [$other, 0.8]]);
        $far = fn (Course $course): float => abs($course->curves()[0]->at(10.0)[0]->z);
        self::assertGreaterThan(2 * $far($round), $far($leg));
    }

    public function test_what_only_touches_and_what_is_no_wire_stays_as_it_is(): void
    {
        $touch = self::cross(0.8);
        self::assertSame($touch, Settled::of([[$touch[0], 0.8], [$touch[1], 0.8]]));
        $thread = self::cross(0.0);
        self::assertSame($thread, Settled::of([[$thread[0], 0.0], [$thread[1], 0.8]]));
    }

    public function test_both_ends_of_a_wire_stay_where_they_are(): void
    {
        [$one, $other] = self::cross(0.0);
        foreach (Settled::of([[$one, 0.8], [$other, 0.8]]) as $at => $course) {
            $was = [$one, $other][$at]->curves()[0];
            foreach ([0.0, INF] as $mm) {
                $moved = $course->curves()[0]->at($mm)[0]->minus($was->at($mm)[0]);
                self::assertLessThan(1e-3, $moved->lengthMm());
            }
        }
    }

    /** What was worked out is asked of who remembers it by the same name, and by another when a wire is another. */
    public function test_it_is_remembered_for_wires_that_lie_alike(): void
    {
        $asked = [];
        Settled::rememberedBy(function (string $name, \Closure $work) use (&$asked): array {
            $asked[] = $name;

            // As a file keeps it.
            return unserialize(serialize($work()));
        });
        $settled = fn (float $thick): array => Settled::of([[self::cross(0.2)[0], $thick], [self::cross(0.2)[1], 0.83]]);
        $settled(0.83);
        $settled(0.83);
        $settled(0.84);
        self::assertCount(2, array_unique($asked));
        self::assertCount(2, $asked);
    }

    /** @return iterable<string, array{Course, Course, float}> each wire as it is told and as it lies, if it is pushed */
    private static function pushed(): iterable
    {
        foreach (Everything::parts(20) as $name => $plan) {
            $settled = $plan->settled();
            foreach ($plan->technique->courses($plan) as $at => $course) {
                if ($settled[$at]->curves() != $course->curves()) {
                    yield "{$name} {$course->label}" => [
                        $course, $settled[$at], $plan->wireOf($course->role)->diameterMm(),
                    ];
                }
            }
        }
    }

    /** A bead is where it was: what leads to it is pushed, and no wire in it. */
    #[Group('wide')]
    public function test_beads_stay_where_they_are(): void
    {
        $beads = 0;
        foreach (self::pushed() as $name => [$told, $lies]) {
            foreach ($told->curves() as $at => $curve) {
                $now = $lies->moves[$at]->standing($lies->curves()[$at]);
                foreach ($told->moves[$at]->standing($curve) as $bead => [, $middle]) {
                    $beads++;
                    self::assertLessThan(0.1, $now[$bead][1]->minus($middle)->lengthMm(), $name);
                }
            }
        }
        self::assertGreaterThan(100, $beads);
    }

    /**
     * It goes on where it came to, is bent no tighter than a wire can be, and takes little more: less than what is cut
     * off its ends.
     */
    #[Group('wide')]
    public function test_a_wire_that_was_pushed_is_whole_and_about_as_long(): void
    {
        $wires = 0;
        foreach (self::pushed() as $name => [$told, $lies, $thick]) {
            $wires++;
            [$was, $is, $off] = [0.0, 0.0, 0.0];
            foreach ($told->curves() as $at => $curve) {
                $now = $lies->curves()[$at];
                [$was, $is] = [$was + $curve->lengthMm(), $is + $now->lengthMm()];
                $off += $told->moves[$at]->stays() ? 0.0 : $told->moves[$at]->segment->lengthMm;
                self::assertGreaterThanOrEqual(min(0.3 * $thick, self::tightest($curve)), self::tightest($now), $name);
                foreach (array_slice($now->spans, 1) as $before => $span) {
                    self::assertLessThan(0.01, $span->from->minus($now->spans[$before]->to)->lengthMm(), $name);
                }
            }
            self::assertLessThan(max($off, 0.02 * $was), $is - $was, $name);
        }
        self::assertGreaterThan(40, $wires);
    }

    private static function tightest(Curve $curve): float
    {
        $least = INF;
        foreach ($curve->spans as $span) {
            foreach ([0.1, 0.5, 0.9] as $share) {
                $least = min($least, 0.99 * $span->radiusMm($share));
            }
        }

        return $least;
    }
}

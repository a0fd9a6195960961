<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Settling\Aside;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Vector;
use PHPUnit\Framework\TestCase;

/** How far a wire is pushed aside goes on smoothly: a cubic B-spline [de Boor, A practical guide to splines]. */
final class AsideTest extends TestCase
{
    private static function course(): Course
    {
        $moves = array_map(fn (float $mm): Move => new Move(
            Segment::given(SegmentKind::Leg, $mm, "{$mm}", '', 'given', 'the test'), new Straight($mm),
        ), [8.0, 4.0, 12.0]);
        $frame = new Frame(new Vector(0.0, 0.0), new Vector(1.0, 0.0), new Vector(0.0, 1.0));

        return new Course('wire', 'wire', $moves, $frame);
    }

    /** Whatever the share, all of a place is told: its weights are one together, and none is less than nothing. */
    public function test_weights_are_a_share_each(): void
    {
        foreach (range(0, 20) as $step) {
            $weights = Aside::weights($step / 20);
            self::assertEqualsWithDelta(1.0, array_sum($weights), 1e-12);
            self::assertGreaterThanOrEqual(0.0, min($weights));
        }
        // At a knot: a sixth, two thirds, a sixth (the same source).
        self::assertEqualsWithDelta([1 / 6, 2 / 3, 1 / 6, 0.0], Aside::weights(0.0), 1e-12);
        self::assertEqualsWithDelta(Aside::weights(0.3), array_reverse(Aside::weights(0.7)), 1e-12);
    }

    /** Where all knots are pushed alike the whole wire is, and nowhere does it grow. */
    public function test_all_pushed_alike_is_a_shift(): void
    {
        $aside = Aside::of(self::course(), 1.5, array_fill(0, 24, [0.3, -0.2, 0.1]));
        foreach ([0.0, 0.7, 5.2, 13.0, 23.9] as $mm) {
            [$by, $more] = $aside->at($mm);
            self::assertEqualsWithDelta([0.3, -0.2, 0.1], [$by->x, $by->y, $by->z], 1e-12, "{$mm}");
            self::assertEqualsWithDelta(0.0, $more->lengthMm(), 1e-12);
        }
    }

    /** What it grows by is what the next place is farther by, and it grows on across knots. */
    public function test_it_goes_on_as_it_says(): void
    {
        $knots = [3 => [0.4, 0.0, 0.1], 4 => [0.1, 0.5, -0.2], 6 => [-0.3, 0.2, 0.0]];
        $aside = Aside::of(self::course(), 1.2, $knots);
        foreach (range(1, 110) as $step) {
            $mm = $step * 0.1;
            [, $more] = $aside->at($mm);
            $measured = $aside->at($mm + 1e-6)[0]->minus($aside->at($mm - 1e-6)[0])->times(1 / 2e-6);
            self::assertEqualsWithDelta(0.0, $measured->minus($more)->lengthMm(), 1e-5, "at {$mm}");
        }
    }

    /** A knot tells on four stretches between knots, and on nothing else. */
    public function test_a_knot_is_felt_as_far_as_four_reach(): void
    {
        $aside = Aside::of(self::course(), 1.0, [7 => [0.0, 0.0, 0.6]]);
        foreach (range(0, 230) as $step) {
            $mm = $step * 0.1;
            $isFelt = $aside->at($mm)[0]->lengthMm() > 0.0;
            self::assertSame($mm > 4.0 && $mm < 8.0, $isFelt, "at {$mm}");
            self::assertTrue(! $isFelt || $aside->isPushed($mm, $mm));
        }
        self::assertFalse($aside->isPushed(0.0, 3.9));
        self::assertTrue($aside->isPushed(0.0, 4.1));
        self::assertFalse($aside->isPushed(9.0, 23.0));
        // Of the three stretches the first two are, the second from where it begins.
        self::assertSame([[0], [0]], array_map(array_keys(...), $aside->spans));
        self::assertEqualsWithDelta([0.0, 8.0], array_column($aside->spans, 0), 1e-6);
    }

    public function test_what_is_not_pushed_says_so(): void
    {
        $aside = Aside::of(self::course(), 1.0, []);
        self::assertSame([], $aside->spans);
        self::assertFalse($aside->isPushed(0.0, 24.0));
        self::assertSame(0.0, $aside->at(11.0)[0]->lengthMm());
    }
}

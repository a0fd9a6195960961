<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Carry;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** What holds of every curve: its farthest places are among its points, and carried anywhere it is as long. */
final class CurveTest extends TestCase
{
    private static function place(): Vector
    {
        return new Vector(...array_map(fn (): float => mt_rand(-4000, 4000) / 100, range(1, 3)));
    }

    private static function curve(): Curve
    {
        $at = self::place();
        $spans = [];
        for ($span = mt_rand(1, 9); $span > 0; $span--) {
            $to = self::place();
            $spans[] = mt_rand(0, 3) === 0
                ? Span::straight($at, $to)
                : new Span($at, self::place(), self::place(), $to);
            $at = $to;
        }

        return new Curve($spans);
    }

    private static function frame(): Frame
    {
        $ahead = self::place()->unit();

        return Frame::turned(self::place(), $ahead, $ahead->cross(self::place()->unit()));
    }

    #[Group('wide')]
    public function test_the_farthest_places_are_the_farthest_of_its_points(): void
    {
        mt_srand(61);
        for ($try = 0; $try < 200; $try++) {
            $curve = self::curve();
            $down = array_map(fn (Vector $at): float => $at->y, $curve->points(0.3));

            self::assertEqualsWithDelta(max($down), $curve->lowest()->y, 1e-9);
            self::assertEqualsWithDelta(min($down), $curve->highest()->y, 1e-9);
        }
    }

    public function test_no_place_of_a_span_is_beyond_its_reach(): void
    {
        mt_srand(62);
        for ($try = 0; $try < 300; $try++) {
            $span = self::curve()->spans[0];
            foreach (range(0, 20) as $step) {
                $y = $span->at($step / 20)->y;
                self::assertLessThanOrEqual($span->reaches(1.0) + 1e-9, $y);
                self::assertLessThanOrEqual($span->reaches(-1.0) + 1e-9, -$y);
            }
        }
    }

    /** Stiffly: as long, as bent, and where the one frame was to the other. */
    /** Two parts are the whole, wherever it is parted; its depth is that of its place. */
    public function test_a_span_parted_is_the_same_curve(): void
    {
        mt_srand(66);
        for ($try = 0; $try < 300; $try++) {
            $span = self::curve()->spans[0];
            [$at, $within] = [mt_rand(1, 99) / 100, mt_rand(0, 100) / 100];
            [$one, $other] = $span->parted($at);

            self::assertEqualsWithDelta($span->at($at * $within), $one->at($within), 1e-9);
            self::assertEqualsWithDelta($span->at($at + (1 - $at) * $within), $other->at($within), 1e-9);
            self::assertEqualsWithDelta($span->at($at)->z, $span->depthAt($at), 1e-9);
            self::assertSame($span->isStraight(), $span->moved(self::place())->isStraight());
        }
    }

    public function test_what_is_carried_keeps_its_shape(): void
    {
        mt_srand(63);
        for ($try = 0; $try < 200; $try++) {
            [$from, $to, $span] = [self::frame(), self::frame(), self::curve()->spans[0]];
            $carry = new Carry($from, $to);
            [$carried] = $carry->spans([$span]);

            self::assertEqualsWithDelta($span->lengthMm(), $carried->lengthMm(), 1e-6);
            self::assertEqualsWithDelta(
                $span->at(0.3)->minus($from->at)->lengthMm(), $carried->at(0.3)->minus($to->at)->lengthMm(), 1e-9,
            );
            foreach (['ahead', 'towards'] as $way) {
                $was = $span->at(0.7)->minus($from->at)->dot($from->$way);
                self::assertEqualsWithDelta($was, $carried->at(0.7)->minus($to->at)->dot($to->$way), 1e-9);
            }
            self::assertEqualsWithDelta($to->at->x, $carry->frame($from)->at->x, 1e-9);
        }
    }

    public function test_what_is_carried_nowhere_is_what_it_was(): void
    {
        mt_srand(64);
        for ($try = 0; $try < 50; $try++) {
            [$frame, $span] = [self::frame(), self::curve()->spans[0]];
            $carry = new Carry($frame, new Frame($frame->at, $frame->ahead, $frame->towards));

            self::assertSame([$span], $carry->spans([$span]));
            self::assertSame($frame, $carry->frame($frame));
        }
    }

    /** Copies, and the same from its other end. */
    public function test_a_copy_is_as_long(): void
    {
        mt_srand(65);
        for ($try = 0; $try < 200; $try++) {
            $span = self::curve()->spans[0];
            self::assertEqualsWithDelta($span->lengthMm(), $span->moved(self::place())->lengthMm(), 1e-9);
            self::assertEqualsWithDelta($span->lengthMm(), $span->reversed()->lengthMm(), 1e-9);
        }
    }
}

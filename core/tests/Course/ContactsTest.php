<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Course;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Settling\Bodies;
use Hebra\Core\Course\Settling\Cells;
use Hebra\Core\Course\Settling\Contacts;
use Hebra\Core\Course\Settling\Shift;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Vector;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is near in a grid is what is near when each is measured against each. */
final class ContactsTest extends TestCase
{
    private const KINDS = [
        SegmentKind::Leg, SegmentKind::Wraps, SegmentKind::Coil, SegmentKind::Weave, SegmentKind::Straight,
        SegmentKind::Tail,
    ];

    /** @return iterable<string, array{list<array{Course, float}>}> */
    public static function wires(): iterable
    {
        mt_srand(47);
        foreach (range(1, 12) as $number) {
            $wires = [];
            for ($wire = mt_rand(2, 5); $wire > 0; $wire--) {
                $wires[] = [self::wire(), mt_rand(4, 16) / 10];
            }
            yield "seeded {$number}" => [$wires];
        }
        yield 'one alone' => [[[self::wire(), 0.8]]];
        yield 'one that is no wire' => [[[self::wire(), 0.0], [self::wire(), 0.6]]];
        yield 'none' => [[]];
    }

    /** A straight wire of one or two stretches somewhere about the middle. */
    private static function wire(): Course
    {
        $any = fn (): float => mt_rand(-1000, 1000) / 1000;
        $ahead = (new Vector($any(), $any(), $any() / 3))->plus(new Vector(0.1, 0.2, 0.0))->unit();
        $side = $ahead->cross(new Vector(0.0, 0.0, 1.0))->unit();
        $moves = [];
        for ($stretch = mt_rand(1, 2); $stretch > 0; $stretch--) {
            $mm = mt_rand(20, 90) / 10;
            $kind = self::KINDS[mt_rand(0, count(self::KINDS) - 1)];
            $segment = Segment::given($kind, $mm, "stretch {$stretch}", '', 'given', 'the test');
            $moves[] = new Move($segment, new Straight($mm));
        }

        $at = new Vector(3 * $any(), 3 * $any(), $any() / 2);

        return new Course('wire', 'wire', $moves, new Frame($at, $ahead, $side));
    }

    /** @param  list<array{Course, float}>  $wires */
    #[DataProvider('wires')]
    public function test_all_that_press_are_found_and_no_more(array $wires): void
    {
        $bodies = new Bodies($wires);
        $shift = new Shift($bodies);
        $pressing = [];
        foreach (self::pairs($bodies) as [$one, $other]) {
            $touch = ($bodies->thick[$one] + $bodies->thick[$other]) / 2;
            $into = $touch - $shift->apartMm($one, $other);
            $isDeep = $into > 0.1 * min($bodies->thick[$one], $bodies->thick[$other]);
            if ($isDeep && self::meet($bodies, [$one, $other], $touch)) {
                $pressing["{$one} {$other}"] = round($touch, 9);
            }
        }
        self::assertEquals($pressing, self::named((new Contacts($bodies, $shift))->pressing(0.1)));
    }

    /**
     * After some were pushed: what was pushed against all that is near it.
     *
     * @param  list<array{Course, float}>  $wires
     */
    #[DataProvider('wires')]
    public function test_what_was_pushed_is_looked_for_again(array $wires): void
    {
        $bodies = new Bodies($wires);
        $shift = new Shift($bodies);
        self::assertSame([], (new Contacts($bodies, $shift))->near(), 'nothing was pushed yet');
        $pushes = [];
        for ($place = 0; $place < count($bodies->x); $place += 9) {
            $pushes[$place] = [0.2, -0.1, 0.15];
        }
        $shift->push($pushes);
        $near = [];
        foreach (self::pairs($bodies) as [$one, $other]) {
            $touch = ($bodies->thick[$one] + $bodies->thick[$other]) / 2;
            $isNear = $shift->apartMm($one, $other) < $touch + 0.1;
            $wasPushed = isset($shift->pushed[$one]) || isset($shift->pushed[$other]);
            if ($isNear && $wasPushed && self::meet($bodies, [$one, $other], $touch)) {
                $near["{$one} {$other}"] = round($touch, 9);
            }
        }
        self::assertEquals($near, self::named((new Contacts($bodies, $shift))->near()));
    }

    /** @param  list<array{Course, float}>  $wires */
    #[DataProvider('wires')]
    public function test_nothing_within_reach_of_a_place_is_left_out(array $wires): void
    {
        $bodies = new Bodies($wires);
        $shift = new Shift($bodies);
        $cells = new Cells($bodies, $shift, 1.4);
        $seen = 0;
        foreach (array_keys($bodies->x) as $place) {
            [$all, $rest] = [$cells->around($place, true), $cells->around($place, false)];
            self::assertSame($all, $cells->around($place, true), 'asked for again');
            self::assertSame(array_unique($all), $all, 'none twice');
            self::assertEqualsCanonicalizing(
                array_filter($all, fn (int $other): bool => ! $bodies->isLeft[$other]), $rest,
            );
            foreach (array_keys($bodies->x) as $other) {
                if ($bodies->isThere[$other] && $shift->apartMm($place, $other) <= 1.4) {
                    self::assertContains($other, $all);
                    $seen++;
                }
            }
        }
        self::assertSame(array_filter($bodies->isThere) === [], $seen === 0);
    }

    /** @return iterable<array{int, int}> each with each that is laid after it, of those that are there */
    private static function pairs(Bodies $bodies): iterable
    {
        $there = array_keys(array_filter($bodies->isThere));
        foreach ($there as $at => $one) {
            foreach (array_slice($there, $at + 1) as $other) {
                yield [$one, $other];
            }
        }
    }

    /**
     * Not a wire's own next, nor two that are left as they are, nor two closed ends.
     *
     * @param  array{int, int}  $pair
     */
    private static function meet(Bodies $bodies, array $pair, float $touch): bool
    {
        [$one, $other] = $pair;
        $isNext = $bodies->wire[$one] === $bodies->wire[$other]
            && abs($bodies->mm[$one] - $bodies->mm[$other]) < 1.7 * $touch;

        return ! $isNext && ! ($bodies->isLeft[$one] && $bodies->isLeft[$other])
            && ! ($bodies->isEnd[$one] && $bodies->isEnd[$other]);
    }

    /**
     * @param  list<array{int, int, float}>  $pairs
     * @return array<string, float>
     */
    private static function named(array $pairs): array
    {
        $named = [];
        foreach ($pairs as [$one, $other, $touch]) {
            self::assertLessThan($other, $one);
            self::assertArrayNotHasKey("{$one} {$other}", $named, 'none twice');
            $named["{$one} {$other}"] = round($touch, 9);
        }
        ksort($named, SORT_NATURAL);

        return $named;
    }
}

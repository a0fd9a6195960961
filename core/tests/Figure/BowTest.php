<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Figure\Arc;
use Hebra\Core\Figure\Bow;
use PHPUnit\Framework\TestCase;

/** Lines bent to a part of a circle, and lengths that reach from one point to another. */
final class BowTest extends TestCase
{
    /**
     * A quarter turn of 100: radius 200/π, chord 2r·sin 45° = 90.032; its ends stand straight one below the other, its
     * middle bulges by r(1 − cos 45°) = 18.646.
     */
    public function test_an_arc_keeps_its_length(): void
    {
        $arc = new Arc(100.0, 90.0);
        self::assertEqualsWithDelta(90.032, $arc->chordMm(), 0.001);
        self::assertEqualsWithDelta([0.0, 0.0], $arc->at(0.0, 0.0), 1e-9);
        self::assertEqualsWithDelta([0.0, 90.032], $arc->at(0.0, 100.0), 0.001);
        self::assertEqualsWithDelta([18.646, 45.016], $arc->at(0.0, 50.0), 0.001);
        self::assertEqualsWithDelta(
            [-45.0, 0.0, 45.0],
            [$arc->degrees(0.0), $arc->degrees(50.0), $arc->degrees(100.0)],
            1e-9,
        );
        $length = 0.0;
        for ($at = 1; $at <= 1000; $at++) {
            [[$x0, $y0], [$x1, $y1]] = [$arc->at(0.0, ($at - 1) / 10), $arc->at(0.0, $at / 10)];
            $length += hypot($x1 - $x0, $y1 - $y0);
        }
        self::assertEqualsWithDelta(100.0, $length, 0.001);
        self::assertEqualsWithDelta([3.0, 40.0], (new Arc(100.0, 0.0))->at(3.0, 40.0), 1e-9);
        self::assertEqualsWithDelta(
            [-18.646, 45.016],
            (new Arc(100.0, -90.0))->at(0.0, 50.0),
            0.001,
            'the other way it bulges to the left',
        );
    }

    /** Seeded lengths and ends: wherever they can reach it, they end there. */
    public function test_lengths_reach_where_they_are_to_end(): void
    {
        mt_srand(3);
        for ($case = 0; $case < 200; $case++) {
            $lengths = array_map(fn (): float => mt_rand(10, 600) / 10, range(1, mt_rand(1, 12)));
            $all = array_sum($lengths);
            $far = $all * mt_rand(20, 92) / 100;
            $angle = mt_rand(0, 628) / 100;
            [$x, $y] = [$far * sin($angle), $far * cos($angle)];
            $aside = $case % 2 === 0 ? 0.0 : 3.0;
            $bow = Bow::between($lengths, $x, $y, $case % 3 === 0 ? -1.0 : 1.0, $aside);
            [$atX, $atY] = self::walk($lengths, $bow);
            // A few stiff lengths alone cannot come as near as asked.
            if (count($lengths) > 3) {
                self::assertEqualsWithDelta([$x, $y], [$atX, $atY], 0.05, "case {$case}");
                self::assertSame(0.0, round($bow->shortMm, 6));
            }
        }
    }

    public function test_what_is_too_short_points_there_and_says_by_how_much(): void
    {
        $bow = Bow::between([10.0, 10.0], 0.0, 50.0, 1.0, 0.0);
        self::assertEqualsWithDelta(30.0, $bow->shortMm, 1e-6);
        self::assertEqualsWithDelta([0.0, 0.0], $bow->degrees, 1e-9);
    }

    /** Twelve alike that end where they began are a regular polygon. */
    public function test_a_ring_closes(): void
    {
        $bow = Bow::between(array_fill(0, 12, 4.0), 0.0, 0.0, 1.0, 0.0);
        self::assertEqualsWithDelta([0.0, 0.0], self::walk(array_fill(0, 12, 4.0), $bow), 0.01);
        for ($at = 1; $at < 12; $at++) {
            self::assertEqualsWithDelta(30.0, $bow->degrees[$at] - $bow->degrees[$at - 1], 0.01);
        }
    }

    /**
     * @param  list<float>  $lengths
     * @return array{float, float}
     */
    private static function walk(array $lengths, Bow $bow): array
    {
        [$x, $y] = [0.0, 0.0];
        foreach ($lengths as $at => $length) {
            $chord = Bow::bends($length)
                ? (new Arc($length, $bow->turn * $length / array_sum($lengths)))->chordMm()
                : $length;
            $x -= $chord * sin(deg2rad($bow->degrees[$at]));
            $y += $chord * cos(deg2rad($bow->degrees[$at]));
        }

        return [$x, $y];
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wrap;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Wrap\BandWeave;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\BeadWrap;
use Hebra\Core\Wrap\Coil;
use Hebra\Core\Wrap\CoiledCoil;
use Hebra\Core\Wrap\LighterCore;
use Hebra\Core\Wrap\Spiral;
use Hebra\Core\Wrap\Turn;
use Hebra\Core\Wrap\Weave;
use Hebra\Core\Wrap\WeavePattern;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class WrapTest extends TestCase
{
    /** A turn against the arc integral of its helix, point by point. */
    public function test_a_turn_is_the_arc_of_its_helix(): void
    {
        foreach ([[2.5, 0.5, 0.5], [1.0, 0.3, 2.0], [10.0, 1.0, 6.0]] as [$core, $wire, $pitch]) {
            $steps = 20_000;
            $length = 0.0;
            $last = [($core + $wire) / 2, 0.0, 0.0];
            for ($i = 1; $i <= $steps; $i++) {
                $angle = 2 * M_PI * $i / $steps;
                $next = [cos($angle) * ($core + $wire) / 2, sin($angle) * ($core + $wire) / 2, $pitch * $i / $steps];
                $length += sqrt(($next[0] - $last[0]) ** 2 + ($next[1] - $last[1]) ** 2 + ($next[2] - $last[2]) ** 2);
                $last = $next;
            }
            self::assertEqualsWithDelta($length, Turn::mm($core, $wire, $pitch), 1e-6);
        }
    }

    public function test_limits_of_a_turn(): void
    {
        // Pitch towards nothing: a plain circle. One core of a row: the same as a single one.
        self::assertEqualsWithDelta(M_PI * 3, Turn::mm(2.5, 0.5, 1e-9), 1e-9);
        self::assertSame(Turn::mm(1.0, 0.3), Turn::roundMm(1, 1.0, 5.0, 0.3));
        self::assertEqualsWithDelta(Turn::mm(2.0, 0.4), Coil::ofTurns(0.4, 2.0, 0.4, 1.0)->wireLengthMm(), 1e-12);
    }

    public function test_what_a_wire_coils_to_takes_that_wire(): void
    {
        mt_srand(3);
        for ($try = 0; $try < 60; $try++) {
            [$wire, $mandrel, $have] = [mt_rand(20, 200) / 100, mt_rand(10, 300) / 10, mt_rand(50, 3000) * 1.0];
            self::assertEqualsWithDelta($have, Coil::ofWire($wire, $mandrel, $wire * 1.3, $have)->wireLengthMm(), 1e-6);
            self::assertEqualsWithDelta($have, Spiral::ofWire($wire, $mandrel, $have)->wireLengthMm(), 1e-6);
            self::assertEqualsWithDelta(
                $have,
                CoiledCoil::ofWire($wire, 1.0, 1.2, $mandrel, $have)->wireLengthMm(),
                1e-6,
            );
        }
    }

    /** Common practice: bound in fine wire on a hoop of 30 mm, beads of 3 mm take a good metre less than three. */
    public function test_beads_cost_their_seat(): void
    {
        $on = new BeadWrap(1.0, 1, 0.3, 20, 3.0, 3.0, 2, 0, false);
        $astride = new BeadWrap(1.0, 1, 0.3, 20, 3.0, 3.0, 2, 0, true);
        self::assertGreaterThan($on->wireLengthMm(), $astride->wireLengthMm());
        // A bead no wider than the wire needs no jog.
        self::assertSame(2.0, (new BeadWrap(1.0, 1, 0.5, 1, 2.0, 0.4, 0, 0, false))->beadMm());
        self::assertSame($on->coveredMm(), $astride->coveredMm());
        self::assertEqualsWithDelta(
            $on->wireLengthMm(),
            $on->beads * $on->beadMm() + $on->wraps() * $on->wrapMm(),
            1e-9,
        );
    }

    public function test_as_many_beads_as_the_wire_binds_and_not_one_more(): void
    {
        $one = new BeadWrap(1.0, 1, 0.3, 1, 3.0, 3.0, 2, 3, false);
        for ($have = 40.0; $have < 900; $have += 37) {
            $bound = $one->fromWire($have);
            self::assertLessThanOrEqual($have, $bound->wireLengthMm());
            self::assertGreaterThan($have, $bound->withBeads($bound->beads + 1)->wireLengthMm());
        }
    }

    public function test_spacing_follows_the_pattern(): void
    {
        self::assertSame(0.8, Weave::of(WeavePattern::parse('2@1-3', 3), 0.8, 0.3)->spacingMm);
        self::assertSame(1.1, Weave::of(WeavePattern::parse('2@1-3 1@2', 3), 0.8, 0.3)->spacingMm);
        self::assertSame([3], WeavePattern::parse('4@2 3@1-2', 3)->freeCores());
        self::assertSame(7, WeavePattern::parse('4@2, 3@1–2', 3)->turns());
    }

    public function test_refuses_patterns(): void
    {
        foreach ([
            '' => Unreadable::class, 'abc' => Unreadable::class, '4@0' => OutOfRange::class, '0@1' => OutOfRange::class,
            '4@1-9' => OutOfRange::class, str_repeat('1@1 ', 61) => OutOfRange::class,
            str_repeat('1@1 ', 200) => Unreadable::class,
        ] as $pattern => $class) {
            try {
                WeavePattern::parse((string) $pattern, 3);
                self::fail("{$pattern} was taken");
            } catch (OutOfRange|Unreadable $refusal) {
                self::assertSame($class, $refusal::class, (string) $pattern);
                self::assertSame('pattern', $refusal->field());
            }
        }
    }

    /** Round two cores the taut string is the hull: π(D + w) + 2s. Front and back of one core is a circle. */
    public function test_a_basket_that_goes_round_is_the_hull(): void
    {
        foreach ([1.3, 1.5, 4.0] as $spacing) {
            self::assertEqualsWithDelta(
                M_PI * 1.3 + 2 * $spacing,
                BasketWeave::parse('f1-2 b2-1', 2)->flatMm(1.0, 0.3, $spacing),
                1e-9,
            );
            self::assertEqualsWithDelta(
                M_PI * 1.3 + 4 * $spacing,
                BasketWeave::parse('f1-3 b3-1', 3)->flatMm(1.0, 0.3, $spacing),
                1e-9,
            );
            self::assertEqualsWithDelta(M_PI * 1.3, BasketWeave::parse('f1 b1', 1)->flatMm(1.0, 0.3, $spacing), 1e-9);
        }
    }

    /** A figure of eight round two cores: crossed belt, 2√(s² − 4ρ²) + 2ρ(π + 2·asin(2ρ/s)) [belt geometry]. */
    public function test_a_figure_of_eight_is_the_crossed_belt(): void
    {
        $rho = 0.65;
        foreach ([1.3, 1.6, 5.0] as $spacing) {
            $belt = 2 * sqrt(
                max(0, $spacing ** 2 - 4 * $rho ** 2),
            ) + 2 * $rho * (M_PI + 2 * asin(min(1, 2 * $rho / $spacing)));
            self::assertEqualsWithDelta($belt, BasketWeave::parse('f1 b2 f2 b1', 2)->flatMm(1.0, 0.3, $spacing), 1e-6);
        }
    }

    /**
     * Against a string that is really pulled taut: the way of the wire as a chain of points, wound as it is written,
     * drawn straight between its neighbours and pushed out of the cores again and again until it moves no more.
     */
    #[Group('wide')]
    public function test_a_basket_is_as_long_as_a_string_pulled_taut(): void
    {
        $weaves = [
            'f1 b2 f2 b1' => 2, 'f1 b1 f1 b2 f2 b1' => 2, 'f1 b1 f1 b1 f1 b2 f2 b1' => 2, 'f1 b2 f3 b3 f2 b1' => 3,
            'f1 f2 b2 f2 b3 f3 b2 b1' => 3, 'f1 b2 f2 b2 f2 b1' => 2, 'f1-3 b3-1' => 3, 'f1 b1 f1-2 b2 f2 b2-1' => 2,
        ];
        foreach ($weaves as $passes => $cores) {
            foreach ([1.6, 2.2] as $spacing) {
                $weave = BasketWeave::parse($passes, $cores);
                self::assertEqualsWithDelta(
                    self::taut($weave, 0.65, $spacing),
                    $weave->flatMm(1.0, 0.3, $spacing),
                    0.03 * $weave->flatMm(1.0, 0.3, $spacing),
                    "{$passes} at {$spacing}",
                );
            }
        }
        self::assertEqualsWithDelta(
            BasketWeave::parse('f1 b2 f2 b1', 2)->flatMm(1.0, 0.3, 1.6) + 2 * M_PI * 0.65,
            BasketWeave::parse('f1 b1 f1 b2 f2 b1', 2)->flatMm(1.0, 0.3, 1.6),
            1e-9,
            'one turn more is one turn longer',
        );
        self::assertEqualsWithDelta(0.6, BasketWeave::parse('f1 b1 f1 b2 f2 b1', 2)->climbMm(0.3), 1e-12);
    }

    private static function taut(BasketWeave $weave, float $rho, float $spacing): float
    {
        $points = [];
        foreach ($weave->touches as ['core' => $core, 'turn' => $turn, 'isFront' => $isFront]) {
            // Half a circle from the gap it comes through to the one it leaves by, in front or behind.
            $right = $turn * ($isFront ? 1 : -1);
            for ($step = 0; $step < 24; $step++) {
                $angle = M_PI * ($step / 24);
                $points[] = [
                    $core * $spacing - $right * cos($angle) * $spacing / 2,
                    ($isFront ? -1 : 1) * sin($angle) * $spacing / 2,
                ];
            }
        }
        $count = count($points);
        for ($round = 0; $round < 1500; $round++) {
            $next = [];
            for ($at = 0; $at < $count; $at++) {
                [$before, $after] = [$points[($at + $count - 1) % $count], $points[($at + 1) % $count]];
                [$x, $y] = [($before[0] + $after[0]) / 2, ($before[1] + $after[1]) / 2];
                foreach (range(1, $weave->cores) as $core) {
                    $off = hypot($x - $core * $spacing, $y);
                    if ($off < $rho) {
                        // Out of the core on the side from which it came.
                        [$ox, $oy] = $off > $rho / 4 ? [$x - $core * $spacing, $y] : [
                            $points[$at][0] - $core * $spacing, $points[$at][1],
                        ];
                        [$x, $y] = [$core * $spacing + $ox * $rho / hypot($ox, $oy), $oy * $rho / hypot($ox, $oy)];
                    }
                }
                $next[] = [$x, $y];
            }
            $points = $next;
        }

        return array_sum(
            array_map(
                fn (int $at): float => hypot(
                    $points[$at][0] - $points[($at + 1) % $count][0],
                    $points[$at][1] - $points[($at + 1) % $count][1],
                ),
                range(0, $count - 1),
            ),
        );
    }

    public function test_a_basket_must_be_weavable(): void
    {
        foreach ([
            'f1 b3' => 'jumps from core 1 to core 3', 'f4 b1' => 'names core 4 of 3', 'x1' => 'is not a list of passes',
            'f1' => 'is out of range: give 2 to 80',
        ] as $passes => $why) {
            try {
                BasketWeave::parse($passes, 3);
                self::fail("{$passes} was taken");
            } catch (OutOfRange|Unreadable $refusal) {
                self::assertStringContainsString($why, $refusal->getMessage());
            }
        }
        self::assertEqualsWithDelta(0.3, BasketWeave::parse('f1 b2 f3 b3 f2 b1', 3)->climbMm(0.3), 1e-12);
    }

    /**
     * Over and under by turns is the same from behind; with a turn more about the middle core it is not. The back is
     * like the front where the front is like the back.
     */
    public function test_both_faces_match_where_one_turned_over_is_the_other(): void
    {
        foreach ([
            'f1 b2 f3 b3 f2 b1' => true, 'f1-3 b3-1' => true, 'f1-3 b3-2 f2 b2-1' => false,
        ] as $passes => $isAlike) {
            self::assertSame($isAlike, BasketWeave::parse($passes, 3)->facesMatch(), $passes);
            $behind = strtr($passes, ['f' => 'b', 'b' => 'f']);
            self::assertSame($isAlike, BasketWeave::parse($behind, 3)->facesMatch(), $behind);
        }
    }

    /** A string on one side of a peg only, drawn taut, slips off it. */
    public function test_a_core_is_held_where_it_is_passed_on_both_sides(): void
    {
        self::assertSame([], BasketWeave::parse('f1 b2 f3 b3 f2 b1', 3)->freeCores());
        self::assertSame([1, 2, 3], BasketWeave::parse('f1 b2 f3 b2', 3)->freeCores());
        self::assertSame([3], BasketWeave::parse('f1-2 b2-1', 3)->freeCores());
        self::assertSame([2], BandWeave::parse('f1 b1 | 2@3', 3)->freeCores());
    }

    /** 20 AWG is 0.81182 mm, 22 AWG 0.64378 mm (ASTM B258): their cubes are as 0.4987 to 1. */
    public function test_the_next_lighter_core_bends_with_less(): void
    {
        $lighter = LighterCore::than(WireSize::awg(20));
        self::assertSame('22 AWG', $lighter?->size->text());
        self::assertEqualsWithDelta(0.4987, $lighter->effort, 1e-4);
        self::assertSame('20 SWG', LighterCore::than(WireSize::swg(18))?->size->text());
        self::assertEqualsWithDelta(0.512, LighterCore::than(WireSize::millimetres(0.8))->effort ?? 0.0, 1e-9);
        self::assertNull(LighterCore::than(WireSize::awg(39)));
        self::assertNull(LighterCore::than(WireSize::millimetres(WireSize::LEAST_MM)));
    }
}

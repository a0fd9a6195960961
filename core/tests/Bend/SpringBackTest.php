<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Bend;

use Hebra\Core\Bend\EyeStrength;
use Hebra\Core\Bend\Hammered;
use Hebra\Core\Bend\SpringBack;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\Section;
use PHPUnit\Framework\TestCase;

final class SpringBackTest extends TestCase
{
    /** Gardiner 1957; Kalpakjian & Schmid, sheet bending: Ri/Rf = 4(RiY/Et)³ − 3(RiY/Et) + 1. */
    public function test_flat_strip_follows_the_published_formula(): void
    {
        foreach ([2.0, 5.0, 12.0, 30.0] as $held) {
            $x = $held * 300 / (110_000 * 0.7);
            self::assertEqualsWithDelta(
                4 * $x ** 3 - 3 * $x + 1,
                (new SpringBack(Section::flat(4.0, 0.7), 110_000, 300))->ratio($held),
                1e-10,
            );
        }
    }

    /** Round wire against an integration over its section that shares nothing with the closed form. */
    public function test_round_wire_against_numeric_integration(): void
    {
        foreach ([
            [0.4, 2.0, 125.0], [0.65, 9.0, 260.0], [1.0, 30.0, 350.0], [1.0, 200.0, 350.0],
        ] as [$r, $held, $yield]) {
            $moment = 0.0;
            $steps = 20_000;
            for ($i = 0; $i < $steps; $i++) {
                // The angle runs evenly, so that the rim is met as finely as the middle.
                $angle = M_PI * ($i + 0.5) / $steps;
                $y = $r * cos($angle);
                $stress = max(-$yield, min($yield, 75_000 * $y / $held));
                $moment += $stress * $y * 2 * $r * sin($angle) * $r * sin($angle) * M_PI / $steps;
            }
            $ratio = 1 - $moment * $held / (75_000 * M_PI * $r ** 4 / 4);
            self::assertEqualsWithDelta(
                $ratio,
                (new SpringBack(Section::round(2 * $r), 75_000, $yield))->ratio($held),
                1e-6,
            );
        }
    }

    /** Timoshenko: fully plastic, a round bar carries 16/3π = 1.698 times its first-yield moment. */
    public function test_the_fully_plastic_limit_is_the_shape_factor(): void
    {
        $held = 0.5;
        $bend = new SpringBack(Section::round(1.0), 75_000, 1.0);
        // 1 − ratio = M·Ri/(EI), and first yield is YI/r.
        $factor = (1 - $bend->ratio($held)) * 75_000 * 0.5 / (1.0 * $held);
        self::assertEqualsWithDelta(16 / (3 * M_PI), $factor, 1e-4);
    }

    public function test_a_bend_that_yields_nowhere_springs_fully_back(): void
    {
        $bend = new SpringBack(Section::round(0.5), 193_000, 900);
        self::assertSame(0.0, $bend->ratio(60.0));
        self::assertSame(INF, $bend->releasedMm(60.0));
        // A metal that never yields cannot be bent, one that yields at once stays where it is held.
        self::assertEqualsWithDelta(1.0, (new SpringBack(Section::round(0.5), 75_000, 1e-6))->ratio(5.0), 1e-6);
    }

    /**
     * As it begins to yield, at R = E·r/Y, the ratio is nothing and grows without a step: elastic and plastic moments
     * meet there, for every section.
     */
    public function test_yielding_begins_without_a_step(): void
    {
        foreach ([
            Section::round(0.8), Section::halfRound(3.0), Section::flat(4.0, 0.6), Section::square(1.2),
            Section::twistedPair(0.5),
        ] as $section) {
            $bend = new SpringBack($section, 100_000, 300);
            [$low, $high] = [0.1, 10_000.0];
            // The tightest radius from which it springs wholly back.
            for ($half = 0; $half < 80; $half++) {
                $middle = ($low + $high) / 2;
                [$low, $high] = $bend->ratio($middle) > 0.0 ? [$middle, $high] : [$low, $middle];
            }
            self::assertLessThan(2_000.0, $high);
            self::assertEqualsWithDelta(0.0, $bend->ratio($high * 0.999), 0.02);
            self::assertGreaterThan($bend->ratio($high * 0.9), $bend->ratio($high * 0.7));
        }
        // In a round wire the outermost fibre yields first.
        self::assertSame(0.0, (new SpringBack(Section::round(0.8), 100_000, 300))->ratio(100_000 * 0.4 / 300 * 1.001));
        self::assertGreaterThan(
            0.0,
            (new SpringBack(Section::round(0.8), 100_000, 300))->ratio(100_000 * 0.4 / 300 * 0.99),
        );
    }

    public function test_the_mandrel_ends_at_what_was_wanted(): void
    {
        mt_srand(7);
        foreach ([
            Section::round(0.8), Section::round(2.0), Section::halfRound(3.0), Section::flat(4.0, 0.6),
            Section::square(1.2), Section::twistedPair(0.5),
        ] as $section) {
            for ($try = 0; $try < 40; $try++) {
                $bend = new SpringBack($section, mt_rand(60, 200) * 1000, mt_rand(60, 900));
                $inside = mt_rand(20, 900) / 10;
                $mandrel = $bend->mandrelMm($inside);
                self::assertLessThan($inside, $mandrel);
                self::assertEqualsWithDelta($inside, $bend->insideMm($mandrel), 1e-6 * $inside);
            }
        }
    }

    public function test_harder_and_thinner_wire_springs_more(): void
    {
        $mandrel = fn (
            float $d,
            float $yield,
        ): float => (new SpringBack(Section::round($d), 75_000, $yield))->mandrelMm(17.0);
        self::assertGreaterThan($mandrel(1.3, 260), $mandrel(1.3, 125));
        self::assertGreaterThan($mandrel(0.8, 260), $mandrel(1.3, 260));
    }

    public function test_refuses_what_no_mandrel_reaches(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Inside 0.01 mm cannot be reached: this wire springs back so far that no mandrel '
            .'is thin enough; give a larger inside');
        (new SpringBack(Section::round(3.0), 75_000, 350))->mandrelMm(0.01);
    }

    /** (4/3)r³Y/R worked by hand for r = 0.4, D = 2.5, Y = 260: 13.446 N; the gap opens at 0.589 of it. */
    public function test_eye_strength(): void
    {
        self::assertEqualsWithDelta(13.4465, EyeStrength::openingN(0.8, 2.5, 260), 1e-4);
        self::assertEqualsWithDelta(
            0.589,
            EyeStrength::firstYieldN(0.8, 2.5, 260) / EyeStrength::openingN(0.8, 2.5, 260),
            1e-4,
        );
    }

    /** Volume is kept: section times length before and after. */
    public function test_hammering_keeps_the_volume(): void
    {
        foreach ([1.0, 0.9, 0.7, 0.5, 0.3] as $thin) {
            $flat = Hammered::of(1.0, $thin);
            self::assertEqualsWithDelta(M_PI / 4, $flat->areaMm2() * $flat->lengthening(), 1e-12);
            self::assertGreaterThanOrEqual(1 - 1e-12, $flat->lengthening());
            self::assertGreaterThanOrEqual(1 - 1e-12, $flat->widthMm());
        }
        self::assertSame(
            [1.0, 1.0, 0.0],
            [
                Hammered::of(1.0, 1.0)->widthMm(), Hammered::of(1.0, 1.0)->lengthening(),
                Hammered::of(1.0, 1.0)->numbersHard(),
            ],
        );
    }

    public function test_hammering_thickens_nothing(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Thickness 1.1 mm is more than the wire of 1 mm: give at most the wire.');
        Hammered::of(1.0, 1.1);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wrap;

use Hebra\Core\Problem;
use Hebra\Core\Wrap\BandWeave;
use Hebra\Core\Wrap\Crossing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Bands in sections: lengths that add up, cores that leave, come in and cross. Core 0.8, weaving wire 0.3 mm, so cores
 * stand 1.1 apart.
 */
final class BandWeaveTest extends TestCase
{
    /**
     * Two repeats of 10 turns are 6 mm; of the 30 asked 24 are left, which a section of 2 turns fills with 40 repeats.
     */
    public function test_a_section_without_repeats_takes_the_rest(): void
    {
        $band = BandWeave::parse('5@1-2 5@2-3 x2 | 2@1-3', 3)->over(30.0, 0.8, 0.3);
        self::assertSame([2, 40], array_map(fn ($section): int => $section->repeats, $band->sections));
        self::assertEqualsWithDelta(30.0, $band->lengthMm(), 1e-9);
        self::assertEqualsWithDelta(
            [0.0, 6.0],
            array_map(fn ($section): float => $section->fromMm, $band->sections),
            1e-9,
        );
        // 20 turns round two, π·1.1 + 2·1.1, and 80 round three, π·1.1 + 4·1.1; each climbs by 0.3.
        self::assertEqualsWithDelta(
            20 * hypot(M_PI * 1.1 + 2.2, 0.3) + 80 * hypot(M_PI * 1.1 + 4.4, 0.3),
            $band->weavingWireMm(),
            1e-6,
        );
    }

    /** Mirrored: all but the last once more, backwards. */
    public function test_sections_mirror_about_the_last(): void
    {
        $band = BandWeave::parse('4@1-2 4@2-3 x3 | cross 1-2 | 2@1-3 x10', 3)->mirrored()->over(100.0, 0.8, 0.3);
        self::assertSame(
            ['4@1-2 4@2-3', 'cross 1-2', '2@1-3', 'cross 1-2', '4@1-2 4@2-3'],
            array_map(fn ($section): string => $section->text, $band->sections),
        );
        self::assertEqualsWithDelta($band->sections[0]->wireMm, $band->sections[4]->wireMm, 1e-9);
        // Crossed twice, each core is back where it began.
        self::assertSame([1, 2, 3], $band->sections[4]->places);
        self::assertSame([2, 1, 3], $band->sections[2]->places);
    }

    /** Core 3 is held only by the first 6 mm and leaves there; the others run all 12. */
    public function test_a_core_that_nothing_holds_any_more_leaves(): void
    {
        $band = BandWeave::parse('5@1-2 5@2-3 x2 | 4@1-2 x5', 3)->over(1.0, 0.8, 0.3);
        self::assertEqualsWithDelta([0.0, 6.0], $band->runOf(3), 1e-9);
        self::assertEqualsWithDelta([0.0, 12.0], $band->runOf(1), 1e-9);
        self::assertEqualsWithDelta(6.0, $band->coreWireMm(3), 1e-9);
        $late = BandWeave::parse('4@1-2 x5 | 5@1-2 5@2-3 x2', 3)->over(1.0, 0.8, 0.3);
        self::assertEqualsWithDelta(
            [6.0, 12.0],
            $late->runOf(3),
            1e-9,
            'and one that is held only later comes in later',
        );
    }

    /**
     * A cross is three spacings long, 3.3; each of both cores goes aside by 1.1 and, over or under the other, by its
     * own 0.8, s = √(1.1² + 0.8²) = 1.360147, in two arcs alike: R = (3.3² + s²)/(4s) = 2.341659,
     * θ = 2·atan(s/3.3) = 0.781900, 2·R·θ = 3.661885.
     */
    public function test_cores_that_cross_take_the_longer_way_and_change_places(): void
    {
        $band = BandWeave::parse('4@1-2 4@2-3 x2 | cross 1-2 | 4@1-2 4@2-3 x2', 3)->over(1.0, 0.8, 0.3);
        self::assertEqualsWithDelta(4.8 + 3.3 + 4.8, $band->lengthMm(), 1e-9);
        self::assertEqualsWithDelta(9.6 + 3.661885, $band->coreWireMm(1), 1e-6);
        self::assertEqualsWithDelta(12.9, $band->coreWireMm(3), 1e-9);
        self::assertEqualsWithDelta([-1.1, -1.1, -1.1, 0.0, 0.0, 0.0], array_column($band->pathOf(1), 1), 1e-9);
        self::assertSame([], $band->freeStretches(3), 'over a cross what lies beside it is not free');
    }

    /**
     * Two over three, side by side, within 15 mm: the two go three spacings aside and the three two; R = (225 +
     * 3.3²)/13.2 = 17.8705, θ = 2·atan(0.22) = 0.433105, 15.4797; (225 + 2.2²)/8.8 = 26.1182, 2·atan(2.2/15) =
     * 0.291252, 15.2140.
     */
    public function test_groups_of_cores_cross(): void
    {
        $band = BandWeave::parse('5@1-5 x2 | cross 1-2 over 3-5 for 15 | 5@1-5 x2', 5)->over(1.0, 0.8, 0.3);
        self::assertSame([3, 4, 5, 1, 2], $band->sections[2]->places);
        $spacing = $band->spacingMm;
        $way = fn (float $aside): float => Crossing::wayMm(15.0, $aside);
        self::assertEqualsWithDelta([15.4797, 15.2140], [$way(3.3), $way(2.2)], 1e-3);
        self::assertEqualsWithDelta(6.0 + $way(hypot(3 * $spacing, 0.8)), $band->coreWireMm(1), 1e-9);
        self::assertEqualsWithDelta(6.0 + $way(hypot(2 * $spacing, 0.8)), $band->coreWireMm(4), 1e-9);
        $cross = $band->sections[1];
        self::assertSame([true, true, false, false, false], array_map($cross->isOver(...), [1, 2, 3, 4, 5]));
        $other = BandWeave::parse('5@1-5 | cross 3-5 over 1-2', 5)->over(1.0, 0.8, 0.3)->sections[1];
        self::assertSame([false, false, true, true, true], array_map($other->isOver(...), [1, 2, 3, 4, 5]));
        self::assertSame([3, 4, 5, 1, 2], $other->crossing?->after([1, 2, 3, 4, 5]));
    }

    /** Mirrored, all cores come back to where they were, and who went over comes back over: seeded. */
    public function test_a_mirrored_crossing_brings_all_back(): void
    {
        mt_srand(17);
        for ($case = 0; $case < 100; $case++) {
            $cores = mt_rand(2, 7);
            $last = mt_rand(1, $cores - 1);
            [$first, $end] = [mt_rand(1, $last), mt_rand($last + 1, $cores)];
            $groups = ["{$first}-{$last}", ($last + 1)."-{$end}"];
            mt_rand(0, 1) === 1 && $groups = array_reverse($groups);
            $band = BandWeave::parse(
                "2@1-{$cores} | cross {$groups[0]} over {$groups[1]} | 3@1-{$cores}", $cores,
            )->mirrored()
                ->over(40.0, 0.9, 0.3);
            [, $out, , $back] = $band->sections;
            self::assertSame(range(1, $cores), $band->sections[4]->places);
            foreach (range(1, $cores) as $core) {
                self::assertSame($out->isOver($core), $back->isOver($core));
            }
        }
    }

    /** Core 1 is left out of the middle 6 mm and held again after it. */
    public function test_a_core_may_run_free_and_be_held_again(): void
    {
        $band = BandWeave::parse('2@1-3 x5 | 4@2-3 x5 | 2@1-3 x5', 3)->over(1.0, 0.8, 0.3);
        self::assertEqualsWithDelta([[3.0, 9.0]], $band->freeStretches(1), 1e-9);
        self::assertSame([], $band->freeStretches(2));
    }

    /**
     * A basket section takes the taut string round its cores: measured here as a polyline round the circles it passes.
     */
    public function test_basket_wire_against_a_numeric_path(): void
    {
        // In front of 1, behind 2, in front of 3, then back behind 3, in front of 2, behind 1: a sine-like path there
        // and back.
        $band = BandWeave::parse('f1 b2 f3 b3 f2 b1 x10', 3)->over(1.0, 0.8, 0.3);
        $numeric = 10 * hypot(self::tautMm(0.55, 1.1), 0.3);
        self::assertEqualsWithDelta($numeric, $band->weavingWireMm(), 0.002 * $numeric);
    }

    /** The closed path of least length that passes outside each circle on its side, found by letting points slide. */
    private static function tautMm(float $rho, float $spacing): float
    {
        // Half circle round core 3, half circle round core 1, and between neighbours the inner tangents: circles that
        // touch (spacing 2ρ) are passed without a straight stretch, by quarter turns whose ends meet between them.
        self::assertEqualsWithDelta(2 * $rho, $spacing, 1e-9);
        $length = 0.0;
        $point = fn (float $x, float $angle): array => [$x + $rho * cos($angle), $rho * sin($angle)];
        // One way: over core 1 from its left to its right, under core 2, over core 3; the way back mirrors it.
        $path = [];
        foreach ([[0.0, 1], [$spacing, -1], [2 * $spacing, 1]] as [$x, $side]) {
            for ($step = 0; $step <= 400; $step++) {
                $path[] = $point($x, $side * (M_PI - M_PI * $step / 400));
            }
        }
        for ($at = 1; $at < count($path); $at++) {
            $length += hypot($path[$at][0] - $path[$at - 1][0], $path[$at][1] - $path[$at - 1][1]);
        }

        return 2 * $length;
    }

    /** @return array<string, array{string, int, string}> */
    public static function unreadable(): array
    {
        return [
            'nothing woven' => ['cross 1-2', 3, 'at least one section that is woven'],
            'no neighbours' => ['4@1-3 | cross 1-3', 3, 'crosses no two neighbours'],
            'a core too many' => ['4@1-2 | 2@3-4 x2', 3, 'names core 4 of 3'],
            'no repeats' => ['4@1-2 x0', 2, 'out of range'],
            'a section of nothing' => ['4@1-2 |  | 4@1-2', 2, 'a weave, such as'],
            'thirteen sections' => [implode(' | ', array_fill(0, 13, '4@1-2')), 2, '13 sections'],
            'markup' => ['<b>4@1-2</b>', 2, 'is not a weave'],
        ];
    }

    #[DataProvider('unreadable')]
    public function test_what_cannot_be_woven_is_refused(string $text, int $cores, string $sentence): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessage($sentence);
        BandWeave::parse($text, $cores);
    }
}

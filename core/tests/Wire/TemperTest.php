<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wire;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Strength;
use Hebra\Core\Wire\Strengths;
use Hebra\Core\Wire\Temper;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TemperTest extends TestCase
{
    /** @return array<string, array{Temper, float}> */
    public static function reductions(): array
    {
        return [
            'quarter hard, one number' => [Temper::QuarterHard, 20.7],
            'half hard, two' => [Temper::HalfHard, 37.1],
            'hard, four' => [Temper::Hard, 60.5],
            'spring, eight' => [Temper::Spring, 84.4],
        ];
    }

    /** B&S numbers to area reduction, ASTM B601: the percentages follow from the AWG formula of ASTM B258. */
    #[DataProvider('reductions')]
    public function test_numbers_hard_are_the_published_area_reductions(Temper $temper, float $percent): void
    {
        $from = SizeSystem::awgMm(10);
        $to = SizeSystem::awgMm(10 + (int) $temper->numbersHard());
        self::assertEqualsWithDelta($percent, 100 * (1 - $to ** 2 / $from ** 2), 0.06);
        self::assertEqualsWithDelta(
            $temper->numbersHard(),
            log($from ** 2 / $to ** 2) / Hardness::strainPerNumber(),
            1e-9,
        );
    }

    public function test_a_number_is_a_strain_of_0_23189(): void
    {
        self::assertEqualsWithDelta(0.23189, Hardness::strainPerNumber(), 5e-6);
    }

    public function test_the_nearest_grade_and_its_ties(): void
    {
        self::assertSame(Temper::DeadSoft, Temper::nearest(0.5));
        self::assertSame(Temper::QuarterHard, Temper::nearest(0.51));
        self::assertSame(Temper::HalfHard, Temper::nearest(3.0));
        self::assertSame(Temper::Spring, Temper::nearest(30));
    }

    public function test_every_metal_yields_more_the_harder_it_is(): void
    {
        foreach (Metal::cases() as $metal) {
            $strength = $metal->strength();
            $last = 0.0;
            foreach ([0, 0.5, 1, 2, 3, 4, 8, 20] as $numbers) {
                self::assertGreaterThanOrEqual($last, $strength->yieldMpa($numbers), $metal->value);
                $last = $strength->yieldMpa($numbers);
            }
            self::assertSame($strength->hardMpa, $strength->yieldMpa(20.0));
            self::assertNotSame('', $strength->source);
            self::assertGreaterThan(1, $metal->numbersBeforeAnnealing());
        }
    }

    /** ASM Handbook vol. 2, rounded: copper E 117 GPa, 70 MPa soft, 250 half hard, 320 hard. */
    public function test_copper_between_its_grades(): void
    {
        $copper = Metal::Copper->strength();
        self::assertSame(
            [117.0, 70.0, 250.0, 320.0],
            [$copper->modulusGpa, $copper->yieldMpa(0), $copper->yieldMpa(2), $copper->yieldMpa(4)],
        );
        self::assertSame(285.0, $copper->yieldMpa(3));
    }

    public function test_the_makers_own_value_overrides(): void
    {
        $own = new Strengths(['copper' => Strength::of(120, 60, 200, 300, 'your own value')]);
        self::assertSame(60.0, $own->of(Metal::Copper)->softMpa);
        self::assertTrue($own->isOwn(Metal::Copper));
        self::assertSame(125.0, $own->of(Metal::Sterling)->softMpa);
    }

    /** @return array<string, array{float, float, float, float, string}> */
    public static function noStrengths(): array
    {
        return [
            'softer when harder' => [
                100, 200, 150, 300, 'Yield half hard 150 MPa is out of range: give 200 MPa to 3000 MPa.',
            ],
            'rubber' => [1, 20, 30, 40, 'Modulus 1 GPa is out of range: give 10 GPa to 500 GPa.'],
            'NaN' => [NAN, 20, 30, 40, 'Modulus NAN GPa is out of range'],
        ];
    }

    #[DataProvider('noStrengths')]
    public function test_refuses_strengths(
        float $modulus, float $soft, float $half, float $hard, string $sentence,
    ): void {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage($sentence);
        Strength::of($modulus, $soft, $half, $hard, 'test');
    }

    /** Hammering to half its thickness: (2/√3)·ln 2/0.23189 = 3.4516 numbers, worked by hand. */
    public function test_work_adds_up(): void
    {
        self::assertEqualsWithDelta(3.45159, Hardness::hammeringNumbers(1.0, 0.5), 1e-4);
        // 4/3π · 1/(2·1.5)/0.23189 = 0.61010
        self::assertEqualsWithDelta(0.61010, Hardness::bendingNumbers(1.0, 1.5), 1e-4);
        self::assertSame(0.0, Hardness::twistingNumbers(1.0, 0, 100));
        // (2/3)·2π·10·0.5/100/√3/0.23189
        self::assertEqualsWithDelta(0.52145, Hardness::twistingNumbers(1.0, 10, 100), 1e-4);
        $worked = Hardness::of(Temper::HalfHard)->plus(1.5)->plus(2.4);
        self::assertEqualsWithDelta(5.9, $worked->numbers, 1e-9);
        self::assertSame('very hard: bend it once, and gently', $worked->words(Metal::Sterling));
        self::assertSame('firm', Hardness::of(Temper::DeadSoft)->plus(3)->words(Metal::Copper));
        self::assertStringContainsString('anneal it', Hardness::of(Temper::Spring)->words(Metal::Brass));
        self::assertTrue($worked->wouldCrack(Metal::Sterling, 1.0, 1.5));
        self::assertFalse(Hardness::of(Temper::DeadSoft)->wouldCrack(Metal::Copper, 1.0, 1.5));
    }

    public function test_fineness_is_that_of_the_alloy(): void
    {
        self::assertSame(0.925, Metal::Sterling->fineness());
        self::assertSame(0.0, Metal::Copper->fineness());
        self::assertEqualsWithDelta(0.02925, Metal::GoldFilled->fineness(), 1e-9);
    }
}

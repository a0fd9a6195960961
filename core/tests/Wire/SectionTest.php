<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Wire;

use Hebra\Core\Wire\Section;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SectionTest extends TestCase
{
    /**
     * @return array<string, array{Section, callable(float): float, float}> section, width at a height above the inside
     *     of the bend, thickness
     */
    public static function sections(): array
    {
        return [
            'round' => [Section::round(1.2), fn (float $y): float => 2 * sqrt(max(0, 0.36 - ($y - 0.6) ** 2)), 1.2],
            'half-round, flat side in' => [
                Section::halfRound(3.0), fn (float $y): float => 2 * sqrt(max(0, 2.25 - $y ** 2)), 1.5,
            ],
            'square' => [Section::square(0.9), fn (float $y): float => 0.9, 0.9],
            'flat' => [Section::flat(3.0, 0.5), fn (float $y): float => 3.0, 0.5],
        ];
    }

    /**
     * Area, neutral axis and second moment, integrated strip by strip.
     *
     * @param  callable(float): float  $widthAt
     */
    #[DataProvider('sections')]
    public function test_against_strips(Section $section, callable $widthAt, float $thickness): void
    {
        $steps = 40_000;
        $area = $first = $second = 0.0;
        for ($i = 0; $i < $steps; $i++) {
            $y = ($i + 0.5) * $thickness / $steps;
            $strip = $widthAt($y) * $thickness / $steps;
            $area += $strip;
            $first += $strip * $y;
            $second += $strip * $y ** 2;
        }
        $axis = $first / $area;
        self::assertEqualsWithDelta($area, $section->areaMm2(), 1e-5);
        self::assertEqualsWithDelta($axis, $section->neutralMm(), 1e-5);
        self::assertEqualsWithDelta($second - $area * $axis ** 2, $section->secondMomentMm4(), 1e-5);
        self::assertSame($thickness, $section->thicknessMm());
    }

    public function test_perimeters_and_the_twisted_pair(): void
    {
        self::assertEqualsWithDelta(M_PI * 1.2, Section::round(1.2)->perimeterMm(), 1e-12);
        self::assertEqualsWithDelta(M_PI * 1.5 + 3.0, Section::halfRound(3.0)->perimeterMm(), 1e-12);
        self::assertSame(7.0, Section::flat(3.0, 0.5)->perimeterMm());
        $pair = Section::twistedPair(0.5);
        self::assertEqualsWithDelta(2 * Section::round(0.5)->areaMm2(), $pair->areaMm2(), 1e-12);
        self::assertEqualsWithDelta(2 * Section::round(0.5)->secondMomentMm4(), $pair->secondMomentMm4(), 1e-12);
        self::assertSame(1.0, $pair->thicknessMm());
    }
}

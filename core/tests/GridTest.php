<?php

declare(strict_types=1);

namespace Hebra\Core\Tests;

use Hebra\Core\Bead\WirePacking;
use Hebra\Core\Bend\EyeStrength;
use Hebra\Core\Bend\Hammered;
use Hebra\Core\Bend\SpringBack;
use Hebra\Core\Chain\StrandMatch;
use Hebra\Core\Fit\Band;
use Hebra\Core\Hand\Consistency;
use Hebra\Core\Hand\Learned;
use Hebra\Core\Hand\Log;
use Hebra\Core\Hand\Noted;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Scale\SimulatedScale;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Section;
use Hebra\Core\Wire\Temper;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The rules by themselves, over grids that reach from edge to edge: each figure as it was when it was last looked at.
 */
final class GridTest extends TestCase
{
    /** @param  array<string, callable(): mixed>  $rows */
    private static function hold(string $name, array $rows): void
    {
        $now = [];
        foreach ($rows as $key => $row) {
            try {
                $now[$key] = ['is' => Kept::figures($row())];
            } catch (Problem $problem) {
                $now[$key] = ['is' => $problem->getMessage()];
            }
        }
        Kept::assertSame(__DIR__."/data/grid-{$name}.json", $now);
    }

    public function test_what_wire_does_when_it_is_bent_and_let_go(): void
    {
        $rows = [];
        foreach ([
            'round' => Section::round(0.8), 'thin' => Section::round(0.2), 'half-round' => Section::halfRound(3.0),
            'square' => Section::square(1.0), 'flat' => Section::flat(4.0, 0.6), 'pair' => Section::twistedPair(0.6),
        ] as $name => $section) {
            foreach ([Metal::Copper, Metal::Sterling, Metal::Stainless] as $metal) {
                foreach ([Temper::DeadSoft, Temper::HalfHard, Temper::Spring] as $temper) {
                    foreach ([1.0, 3.0, 12.0, 60.0, 400.0] as $inside) {
                        $rows["{$name} {$metal->value} {$temper->value} {$inside}"] = fn (): array => [
                            ($bend = new SpringBack(
                                $section, $metal->strength()->modulusMpa(),
                                $metal->strength()->yieldMpa($temper->numbersHard()),
                            ))->ratio(
                                $inside,
                            ),
                            $bend->releasedMm($inside),
                            $bend->insideMm($inside),
                            $bend->mandrelMm($inside),
                        ];
                    }
                }
            }
            $rows["{$name} itself"] = fn (): array => [
                $section->words(),
                $section->widthMm(),
                $section->thicknessMm(),
                $section->areaMm2(),
                $section->perimeterMm(),
                $section->neutralMm(),
                $section->secondMomentMm4(),
                Band::widerMm($section->widthMm()),
                Band::neutralMm($section->kind, $section->thicknessMm()),
            ];
        }
        self::hold('bends', $rows);
    }

    public function test_what_wire_bears(): void
    {
        $rows = [];
        foreach (Metal::cases() as $metal) {
            foreach (Temper::cases() as $temper) {
                $rows["{$metal->value} {$temper->value}"] = function () use ($metal, $temper): array {
                    $hard = Hardness::of($temper);

                    return [
                        $hard->numbers,
                        $hard->thinnestMm($metal, 1.0),
                        $hard->shareUsed($metal),
                        $hard->plus(1.5)->words($metal),
                        $hard->wouldCrack($metal, 1.0, 0.75),
                        $hard->wouldCrack($metal, 1.0, 4.0),
                        EyeStrength::openingN(0.8, 2.5, $metal->strength()->yieldMpa($temper->numbersHard())),
                        EyeStrength::firstYieldN(0.8, 2.5, 100),
                    ];
                };
            }
        }
        foreach ([0.1, 0.2, 0.5, 0.9, 0.999, 1.0, 1.2] as $share) {
            $rows["hammered to {$share}"] = fn (): array => [
                ($flat = Hammered::of(1.0, $share))->widthMm(),
                $flat->areaMm2(),
                $flat->lengthening(),
                $flat->numbersHard(),
                Hardness::hammeringNumbers(1.0, $share),
            ];
        }
        foreach ([0.3, 1.0, 5.0, 50.0] as $radius) {
            $rows["bent round {$radius}"] = fn (): array => [
                Hardness::bendingNumbers(0.6, $radius),
                Hardness::surfaceStrain(0.6, $radius),
                Hardness::twistingNumbers(0.6, $radius, 40.0),
            ];
        }
        self::hold('bears', $rows);
    }

    public function test_what_is_learned(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $rows = [];
        for ($case = 0; $case < 24; $case++) {
            $ratios = array_map(fn (): float => 0.8 + $random->getInt(0, 600) / 1000, array_fill(0, $case % 9, 0));
            $rows["logs {$case}"] = function () use ($ratios): array {
                $learned = Learned::from(array_map(fn (float $ratio): Log => new Log($ratio), $ratios));

                return [
                    $learned->isLearned(),
                    $learned->factor(),
                    $learned->quantile(0.5),
                    $learned->quantile(0.95),
                    $learned->below(1.05),
                    $learned->leftOf(1.1),
                    $learned->doubt(),
                    $learned->mean,
                    $learned->count,
                    ...array_values(Noted::from($ratios)->foretell(40.0)),
                ];
            };
            $rows["sizes {$case}"] = function () use ($ratios): mixed {
                $found = Consistency::of(array_map(fn (float $ratio): float => $ratio - 1.0, $ratios));

                return $found === null ? null : get_object_vars($found);
            };
        }
        self::hold('learned', $rows);
    }

    #[Group('wide')]
    public function test_how_wires_pack_and_strands_match(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $rows = [];
        for ($case = 0; $case < 40; $case++) {
            $wires = array_map(fn (): float => $random->getInt(20, 130) / 100, array_fill(0, 1 + $case % 9, 0));
            $rows["wires {$case}"] = fn (): float => round(WirePacking::neededMm($wires), 5);
            $elements = array_map(fn (): float => (float) $random->getInt(3, 20), array_fill(0, 1 + $case % 5, 0));
            $wanted = array_map(fn (int $at): float => 30.0 * ($at + 1) + $random->getInt(0, 9), array_keys($elements));
            $rows["strands {$case}"] = fn (): array => get_object_vars(
                StrandMatch::of($wanted, 30.0 * (count($wanted) + 1), $elements, 2.4 + $case / 50),
            );
        }
        self::hold('places', $rows);
    }

    public function test_what_a_scale_and_a_ruler_show(): void
    {
        $rows = [];
        foreach ([[12_345, 0, 1], [12_345, 1_240, 2], [0, 0, 3], [250_000, 1_240, 4]] as $at => [$load, $tare, $seed]) {
            $scale = new SimulatedScale($load, $tare, $seed);
            for ($tenth = 0; $tenth < 60; $tenth += 3) {
                $rows["scale {$at} {$tenth}"] = fn (): array => get_object_vars($scale->reading($tenth / 10));
            }
        }
        foreach (Ruler::cases() as $ruler) {
            foreach ([0.0, 0.3, 1.0, 12.7, 16.55, 68.8, 333.33] as $length) {
                $rows["{$ruler->value} {$length}"] = fn (): array => [
                    $ruler->nearestMm($length), $ruler->upMm($length), $ruler->upText($length), $ruler->text($length),
                    $ruler->figure($length), $ruler->stepMm(), $ruler->isMetric(),
                ];
            }
        }
        self::hold('shows', $rows);
    }
}

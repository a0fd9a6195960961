<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Bead\WirePacking;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Plan\Instance;
use Hebra\Core\Plan\Metal;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Wrap\Turn;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Small things a maker would notice. */
final class SmallTruthsTest extends TestCase
{
    /** Nothing is called a setting of the maker's that no setting of the part says. */
    #[Group('wide')]
    public function test_what_is_called_a_setting_is_one(): void
    {
        $seen = 0;
        foreach (Everything::techniques() as $name => $piece) {
            foreach (Planner::plan($piece, new Profile)->cuts as $cut) {
                foreach ($cut->segments as $segment) {
                    if ($segment->working->source !== 'your setting') {
                        continue;
                    }
                    $part = $piece->part(PartId::of(explode(':', $segment->mark)[0]));
                    $lengths = array_filter(
                        $part->technique()->parameters(),
                        fn ($parameter): bool => $parameter->kind === ParameterKind::Length && abs(
                            $part->mm($parameter->key) - $segment->lengthMm,
                        ) < 1e-9,
                    );
                    self::assertNotSame([], $lengths, "{$name}: {$segment->words} of {$segment->lengthMm} mm");
                    $seen++;
                }
            }
        }
        self::assertGreaterThan(20, $seen);
    }

    /** Nothing is told to be trimmed to a length by whoever has cut it so; a bought pin is. */
    #[Group('wide')]
    public function test_no_step_trims_what_is_cut_to_length(): void
    {
        $told = 0;
        foreach (Everything::pieces(60) as $name => $piece) {
            foreach ([$piece, Everything::bought($piece)] as $one) {
                foreach (Planner::plan($one, new Profile)->steps() as $step) {
                    $parts = array_map(fn (string $id) => $one->part(Instance::partOf($id)), $step->parts);
                    $isBought = array_filter($parts, fn ($part): bool => $part->technique()->isBought($part)) !== [];
                    if (preg_match('/\btrim to [\d.]+/i', $step->text) === 1) {
                        self::assertTrue($isBought, "{$name}: {$step->text}");
                        $told++;
                    }
                    $told += preg_match('/, [\d.]+ mm from the end, and roll/', $step->text);
                }
            }
        }
        self::assertGreaterThan(5, $told);
    }

    /** A wire stands in the table of metal once, whatever it is used for. */
    #[Group('wide')]
    public function test_no_wire_stands_twice_in_the_table_of_metal(): void
    {
        foreach (Everything::pieces(60) as $name => $piece) {
            $words = array_map(
                fn (Metal $metal): string => $metal->wire->words(),
                Planner::plan($piece, new Profile)->metal,
            );
            self::assertSame(array_values(array_unique($words)), $words, (string) $name);
        }
    }

    public function test_a_length_may_have_as_many_digits_as_a_computer_writes(): void
    {
        self::assertSame(12.345678901234567, Length::parse('12.3456789012345678 mm', 'length')->millimetres());
        self::assertSame(0.30000000000000004, Length::parse('0.30000000000000004', 'length')->millimetres());
    }

    /** Beads, turns and wire of a beaded coil are of the same whole beads. */
    public function test_a_beaded_coil_from_a_wire_agrees_with_itself(): void
    {
        foreach ([50.0, 51.9, 200.0, 333.3] as $have) {
            $results = Sums::named('beaded-coil')->work(
                Given::read(
                    Sums::named('beaded-coil'),
                    ['mandrel' => '8 mm', 'bead_length' => '3.1 mm', 'have' => "{$have} mm"],
                ),
            )->results;
            self::assertSame((int) floor($have / 3.1), $results['beads']);
            self::assertEqualsWithDelta($results['beads'] * 3.1, $results['wire_length_mm'], 1e-9);
            self::assertEqualsWithDelta($results['wire_length_mm'], $results['turns'] * Turn::mm(8.0, 3.1), 1e-9);
        }
    }

    /**
     * Curvatures −1/2, 1, 1, 3/2, 3/2, 3, 3, 3, 3 touch in one circle [published: Soddy 1936, The Kiss Precise]: two
     * wires of 2, two of 4/3 and four of 2/3 fill a hole of 4.
     */
    public function test_eight_wires_of_three_sizes_lie_as_circles_that_kiss(): void
    {
        self::assertEqualsWithDelta(
            4.0,
            WirePacking::neededMm([2.0, 2.0, 4 / 3, 4 / 3, 2 / 3, 2 / 3, 2 / 3, 2 / 3]),
            4.0 * 1e-6,
        );
        self::assertEqualsWithDelta(4.0, WirePacking::neededMm([2.0, 2.0, 4 / 3, 4 / 3, 2 / 3]), 4.0 * 1e-6);
    }

    /** More wires never need less. */
    #[Group('wide')]
    public function test_a_wire_more_never_needs_a_smaller_hole(): void
    {
        mt_srand(21);
        for ($case = 0; $case < 25; $case++) {
            $wires = array_map(fn (): float => mt_rand(25, 120) / 100, range(1, mt_rand(4, 8)));
            self::assertGreaterThanOrEqual(
                WirePacking::neededMm(array_slice($wires, 1)) - 1e-6,
                WirePacking::neededMm($wires),
                json_encode($wires) ?: '',
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Supply;
use Hebra\Core\Plan\WireRow;
use Hebra\Core\Plan\WireTable;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\TestCase;

final class WireTableTest extends TestCase
{
    /** @return array<string, WireRow> by size and temper */
    private static function rows(string $role, Profile $profile = new Profile, Supply $supply = new Supply): array
    {
        $rows = [];
        foreach (WireTable::of(Some::drop(), $role, $profile, $supply) as $row) {
            $rows[$row->wire->size->text().' '.$row->wire->temper->value] = $row;
        }

        return $rows;
    }

    public function test_every_size_in_every_temper_is_judged_and_the_best_stand_first(): void
    {
        $rows = WireTable::of(Some::drop(), 'link', new Profile);
        self::assertCount(17 * 5, $rows);
        $fits = array_values(array_filter($rows, fn (WireRow $row): bool => $row->fits));
        self::assertSame(range(1, count($fits)), array_map(fn (WireRow $row): int => $row->rank, $fits));
        self::assertSame(array_slice($rows, 0, count($fits)), $fits);
        foreach ($rows as $row) {
            self::assertMatchesRegularExpression('/^[\p{Lu}\d].+\.$/u', $row->why);
            self::assertGreaterThan(0, min($row->springs, $row->holds, $row->effort, $row->grams));
        }
    }

    public function test_holes_rule_out_and_say_by_how_much(): void
    {
        $rows = self::rows('link');
        self::assertFalse($rows['19 AWG dead-soft']->fits);
        self::assertStringContainsString(
            'too thick for the sand 4 mm bicone, hole 0.9 mm.',
            $rows['18 AWG dead-soft']->why,
        );
        self::assertTrue($rows['20 AWG dead-soft']->fits);
        self::assertTrue($rows['22 AWG dead-soft']->isChosen);
        // The tightest hole is 0.9; 20 AWG is 0.812 thick; 0.05 to move.
        self::assertEqualsWithDelta(0.9 - 0.81182 - 0.05, (float) $rows['20 AWG dead-soft']->marginMm, 1e-5);
        self::assertNull(self::rows('ear')['20 AWG half-hard']->marginMm);
    }

    /** Common practice: dead soft for wrapped links and pins, half hard for ear wires, in the usual sizes. */
    public function test_the_trade_s_usual_choice_comes_out_first(): void
    {
        self::assertSame(1, self::rows('link')['22 AWG dead-soft']->rank);
        self::assertSame(1, self::rows('pin')['24 AWG dead-soft']->rank);
        self::assertSame(1, self::rows('ear')['20 AWG half-hard']->rank);
    }

    public function test_an_eye_that_a_tug_would_open_does_not_fit(): void
    {
        $row = self::rows('ear')['26 AWG half-hard'];
        self::assertFalse($row->fits);
        self::assertMatchesRegularExpression(
            '/^Its eye opens at [\d.]+ N: the [\d.]+ g hung and a tug of 3 N come to [\d.]+ N\.$/',
            $row->why,
        );
        self::assertLessThan(3.0, (float) $row->opensN);
        // Wrapped shut, nothing opens.
        self::assertNull(self::rows('link')['22 AWG dead-soft']->opensN);
    }

    public function test_too_hard_to_bend_is_ruled_out(): void
    {
        self::assertStringContainsString(
            'would crack in the bend of 2.5 mm inside',
            self::rows('link')['22 AWG spring']->why,
        );
    }

    /** Ratios against the usual size in half-hard copper, worked from E·I and (4/3)r³Y. */
    public function test_ratios_are_against_half_hard_copper(): void
    {
        $row = self::rows('link')['22 AWG half-hard'];
        self::assertEqualsWithDelta(75 / 117, $row->springs, 1e-9);
        self::assertEqualsWithDelta(260 / 250, $row->effort, 1e-9);
        self::assertGreaterThan(260 / 250, $row->holds);
        self::assertEqualsWithDelta(
            $row->grams * (0.81182 / 0.64380) ** 2,
            self::rows('link')['20 AWG half-hard']->grams,
            1e-3,
        );
    }

    public function test_what_is_in_stock_goes_first_among_equals_and_has_its_price(): void
    {
        $key = (new Wire(Metal::Sterling, WireSize::awg(23), Temper::DeadSoft))->key();
        $row = self::rows(
            'link',
            supply: new Supply([$key => 5000.0], fn (Wire $wire): float => 160.0),
        )['23 AWG dead-soft'];
        self::assertLessThan(self::rows('link')['23 AWG dead-soft']->rank, $row->rank);
        self::assertStringContainsString('enough in stock', $row->why);
        self::assertSame(5000.0, $row->heldMm);
        // 1.60 a gram, as paid, whatever a table says.
        self::assertEqualsWithDelta(160 * $row->grams, $row->cents, 1e-6);
    }

    public function test_a_size_of_another_system_stands_among_the_others(): void
    {
        $piece = Some::changed(Some::drop(), ['do' => 'wire', 'role' => 'link', 'size' => '0.66 mm']);
        $rows = WireTable::of($piece, 'link', new Profile(sizes: SizeSystem::Swg));
        self::assertCount(1, array_filter($rows, fn (WireRow $row): bool => $row->isChosen));
        self::assertSame('20 AWG', WireTable::thickestPassing($piece, 'link', new Profile)?->text());
    }
}

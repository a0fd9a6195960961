<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Price;

use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Pattern;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Plan\Supply;
use Hebra\Core\Price\Bill;
use Hebra\Core\Price\BillLine;
use Hebra\Core\Price\Costing;
use Hebra\Core\Price\LotPrices;
use Hebra\Core\Price\OwnPrices;
use Hebra\Core\Price\Prices;
use Hebra\Core\Price\SimulatedPrices;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\TestCase;

/** What a making costs, in whole cents. */
final class BillTest extends TestCase
{
    private const DAY = '2026-11-25';

    public function test_prices_stand_from_their_day_on(): void
    {
        $prices = new SimulatedPrices;
        self::assertSame(
            [12_600, 13_200, 12_950, 12_600],
            array_map(
                fn (string $day): ?int => $prices->perGramE4(self::wire(Metal::Sterling), $day),
                ['2026-03-01', '2026-07-01', '2026-12-31', '2025-05-05'],
            ),
        );
        self::assertSame('made-up table, as of 2026-01-01', $prices->source(self::wire(Metal::Brass), '2026-08-01'));
        $own = new OwnPrices(['copper' => 777], $prices);
        self::assertSame(
            [777, 12_950],
            [
                $own->perGramE4(self::wire(Metal::Copper), '2026-11-25'),
                $own->perGramE4(self::wire(Metal::Sterling), '2026-11-25'),
            ],
        );
        self::assertSame('your own price', $own->source(self::wire(Metal::Copper), '2026-11-25'));
        foreach (Metal::cases() as $metal) {
            self::assertNotNull($prices->perGramE4(self::wire($metal), '2026-11-25'), $metal->value);
        }
    }

    private static function wire(Metal $metal, int $awg = 20): Wire
    {
        return new Wire($metal, WireSize::awg($awg), Temper::DeadSoft);
    }

    /** The lot as paid, else the maker's own, else the table: in the bill as in the choice of wire. */
    public function test_the_same_wire_has_the_same_price_everywhere(): void
    {
        $plan = Planner::plan(Patterns::start('single-drop', 'Priced'), new Profile);
        $wire = $plan->metal[0]->wire;
        $prices = new LotPrices(
            fn (): array => [$wire->key() => 17_500],
            new OwnPrices(['sterling' => 15_000], new SimulatedPrices),
        );
        self::assertSame(
            [17_500, 15_000, 450],
            [
                $prices->perGramE4($wire, '2026-11-25'),
                $prices->perGramE4(self::wire(Metal::Sterling, 12), '2026-11-25'),
                $prices->perGramE4(self::wire(Metal::Copper), '2026-11-25'),
            ],
        );
        self::assertSame(
            ['as you paid for it', 'your own price', 'made-up table, as of 2026-11-01'],
            [
                $prices->source($wire, '2026-11-25'), $prices->source(self::wire(Metal::Sterling, 12), '2026-11-25'),
                $prices->source(self::wire(Metal::Copper), '2026-11-25'),
            ],
        );
        $line = Bill::of($plan, new Prices($prices, self::DAY), Costing::usual())->lines[0];
        self::assertEqualsWithDelta($plan->metal[0]->grossGrams() * 175, $line->cents, 0.51);
        $supply = new Supply([], fn (Wire $wire): float => $prices->perGramE4($wire, '2026-11-25') / 100);
        self::assertEqualsWithDelta(
            $line->cents / $plan->metal[0]->grossGrams(),
            $supply->centsPerMetre($wire) / $wire->gramsOf(1000),
            1.0,
        );
    }

    /**
     * 30 minutes at 22.00 an hour are 11.00; two beads of one kind at 0.35 and two of another at 0.20 are 1.10. Metal
     * as the plan has it, at 1.295 a gram. Overhead 12 % of the sum, margin 30 % of both.
     */
    public function test_each_line_adds_up(): void
    {
        $plan = Planner::plan(Patterns::start('single-drop', 'Priced'), new Profile);
        [$moss, $sand] = array_map(fn ($bead): string => $bead->bead->key(), $plan->beads);
        $beads = [$moss => UnitPrice::parse('0.35'), $sand => UnitPrice::parse('0.20')];
        $bill = Bill::of(
            $plan, new Prices(new SimulatedPrices, self::DAY, $beads), Costing::usual()->taking(30.0, 'noted'),
        );
        $of = fn (string $kind): array => array_values(
            array_map(
                fn (BillLine $line): ?int => $line->cents,
                array_filter($bill->lines, fn (BillLine $line): bool => $line->kind === $kind),
            ),
        );
        self::assertSame([1100], $of('time'));
        self::assertSame([70, 40], $of('bead'));
        foreach ($plan->metal as $at => $metal) {
            self::assertEqualsWithDelta($metal->grossGrams() * 129.5, $of('metal')[$at], 0.51);
        }
        self::assertSame(
            array_sum(array_map(fn (BillLine $line): int => (int) $line->cents, $bill->lines)),
            $bill->costCents,
        );
        self::assertEqualsWithDelta(0.12 * $bill->costCents, $bill->overheadCents, 0.5);
        self::assertEqualsWithDelta(0.30 * ($bill->costCents + $bill->overheadCents), $bill->asking->marginCents, 0.5);
        self::assertGreaterThanOrEqual($bill->totalCents(), 2 * $bill->eachCents());
        self::assertLessThan($bill->totalCents() + 2, 2 * $bill->eachCents());
        self::assertEqualsWithDelta($bill->netGrams / $bill->grossGrams, $bill->yield(), 1e-12);
        self::assertSame(0, $bill->unpriced);
    }

    /** Beads of less than a cent are summed before they are rounded: two at 0.0042 are a cent, not nothing. */
    public function test_beads_of_less_than_a_cent_count(): void
    {
        $plan = Planner::plan(Patterns::start('single-drop', 'Seeds'), new Profile);
        $beads = [$plan->beads[0]->bead->key() => UnitPrice::parse('0.0042')];
        $bill = Bill::of($plan, new Prices(new SimulatedPrices, self::DAY, $beads), Costing::usual());
        $bead = array_values(array_filter($bill->lines, fn (BillLine $line): bool => $line->kind === 'bead'))[0];
        self::assertSame([2, 1, '0.0042 each'], [$plan->beads[0]->all, $bead->cents, $bead->at]);
    }

    public function test_what_has_no_price_is_said(): void
    {
        $bill = Bill::of(
            Planner::plan(Patterns::start('post-drop', 'Unpriced'), new Profile),
            new Prices(new SimulatedPrices, self::DAY), Costing::usual(),
        );
        self::assertSame(4, $bill->unpriced, 'three beads and the ear backs');
    }

    /**
     * Backs at 0.07 each, two of them; 40 links of 3.5 mm and one lost in the cut are 143.5 mm, at 14.50 a metre 2.08;
     * a box at 0.65 for each of two.
     */
    public function test_findings_are_priced_each_or_by_length_and_packing_by_the_piece(): void
    {
        $line = fn (Bill $bill, string $kind): array => array_values(
            array_map(
                fn (BillLine $line): array => [$line->cents, $line->at],
                array_filter($bill->lines, fn (BillLine $line): bool => $line->kind === $kind),
            ),
        );
        $costing = Costing::of(0, 0, 0, 65);
        $posts = Planner::plan(Patterns::start('post-drop', 'Backs'), new Profile);
        $bill = Bill::of(
            $posts, new Prices(new SimulatedPrices, self::DAY, [], ['ear back' => UnitPrice::parse('0.07')]), $costing,
        );
        self::assertSame([[14, '0.07 each']], $line($bill, 'finding'));
        self::assertSame([[130, '0.65 a piece']], $line($bill, 'packing'));
        $chain = (new Pattern(
            '', Family::Chain, [['hook'], ['chain', [], ['links' => 40, 'inside' => 3.5]], ['jump-ring']],
            FitKind::Wrist,
        ))->piece(
            'By length',
            [],
        );
        $plan = Planner::plan($chain, new Profile);
        $finding = $plan->findings[0];
        self::assertEqualsWithDelta(143.5, $finding->taken(), 1e-9);
        self::assertSame(
            [[208, '14.50 a metre']],
            $line(
                Bill::of(
                    $plan,
                    new Prices(new SimulatedPrices, self::DAY, [], [$finding->stock => UnitPrice::parse('14.50')]),
                    $costing,
                ),
                'finding',
            ),
        );
        self::assertSame(
            [[null, 'no price']],
            $line(Bill::of($plan, new Prices(new SimulatedPrices, self::DAY), $costing), 'finding'),
        );
    }

    public function test_costing_has_its_ranges(): void
    {
        self::assertSame(0, Costing::of(0, 0, 0)->hourCents);
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Margin');
        Costing::of(100, 10, 501);
    }
}

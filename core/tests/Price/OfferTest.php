<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Price;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Price\Bill;
use Hebra\Core\Price\Costing;
use Hebra\Core\Price\Offer;
use Hebra\Core\Price\Prices;
use Hebra\Core\Price\SimulatedPrices;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Technique\BoughtPin;
use Hebra\Core\Technique\HeadPin;
use Hebra\Core\Technique\PinChoice;
use Hebra\Core\Technique\Sources;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Whether bought or made costs less: pins by length, chain cut or uncut, rings bought or wound. */
final class OfferTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /**
     * @param  array<string, string>  $prices  by a finding’s name in stock
     * @param  array<int, float>  $pins
     * @return array<string, Offer> by their words
     */
    private static function offers(Plan $plan, array $prices, array $pins = []): array
    {
        $known = array_map(fn (string $price): UnitPrice => UnitPrice::parse($price), $prices);
        $billed = function (Plan $plan) use ($known): array {
            $minutes = Minutes::of($plan);

            return [
                Bill::of(
                    $plan, new Prices(new SimulatedPrices, '2026-11-25', [], $known),
                    Costing::usual()->taking($minutes, 'noted'),
                ),
                $minutes,
            ];
        };
        $offers = [];
        foreach (Offer::all($plan, Sources::ways($plan, $pins), $billed) as $offer) {
            $offers[$offer->way->words] = $offer;
        }

        return $offers;
    }

    /**
     * Rings at 0.05 each take no metal and no winding: what is saved is the metal's cents and the minutes', to the cent
     * or two of rounding. Without a price nothing is claimed, and it is said what is asked for.
     */
    public function test_rings_bought_are_weighed_against_wire_and_time(): void
    {
        $plan = self::plan(Patterns::start('linked-bracelet', 'Priced'));
        $asked = self::offers($plan, [])['Buy the rings'];
        self::assertFalse($asked->pays());
        $lines = array_map(fn ($line): string => $line->key, $asked->unpriced);
        self::assertCount(2, $lines, 'rings of two sizes');
        $known = self::offers($plan, array_fill_keys($lines, '0.05'))['Buy the rings'];
        self::assertSame([], $known->unpriced);
        self::assertLessThan(0.0, $known->minutes);
        self::assertLessThan(0.0, $known->grams);
        $rings = 0;
        foreach ($known->plan->findings as $finding) {
            $rings += in_array($finding->stock, $lines, true) ? $finding->all : 0;
        }
        $metal = 0.0;
        foreach ([[$plan, 1], [$known->plan, -1]] as [$of, $sign]) {
            foreach ($of->metal as $one) {
                $metal += $sign * $one->grossGrams() * (new SimulatedPrices)->perGramE4($one->wire, '2026-11-25') / 100;
            }
        }
        $expected = 5 * $rings - $metal + $known->minutes * 2200 / 60;
        self::assertEqualsWithDelta($expected, $known->cents, 3.0);
        self::assertSame($expected < 0, $known->pays());
    }

    /**
     * Soldered chain cut here costs a link a piece: bought cut it takes that much less, and no cutting. Taken, the
     * offer
     * is the other way about, by as much.
     */
    public function test_chain_cut_or_uncut_and_back(): void
    {
        $plan = self::plan(Patterns::start('centre-necklace', 'Chain'));
        $chain = array_values(array_filter($plan->findings, fn (Finding $one): bool => $one->isByLength()));
        $prices = [$chain[0]->stock => '12.00'];
        $cut = self::offers($plan, $prices)['Buy the chain cut to length'];
        $millimetres = fn (Plan $of): float => array_sum(array_map(
            fn (Finding $one): float => $one->isByLength() ? $one->taken() : 0.0, $of->findings,
        ));
        self::assertEqualsWithDelta(
            2 * 3.5, $millimetres($plan) - $millimetres($cut->plan), 1e-6, 'a link for each piece',
        );
        $back = self::offers($cut->plan, $prices)['Buy the chain by length and cut it'];
        self::assertSame($cut->cents, -$back->cents);
        self::assertEqualsWithDelta($cut->minutes, -$back->minutes, 1e-9);
    }

    /** Long pins in a cheap bag beat short ones; of what reaches, the cheapest, tried against every choice. */
    #[Group('wide')]
    public function test_pins_are_chosen_by_money_where_prices_are_known(): void
    {
        $plan = self::plan(Patterns::start('cluster', 'Pins'));
        mt_srand(41);
        for ($case = 0; $case < 40; $case++) {
            $cents = [];
            foreach (BoughtPin::STOCKED_MM as $length) {
                $cents[(int) $length] = mt_rand(5, 60) / 2;
            }
            $choice = PinChoice::of($plan);
            self::assertNotNull($choice);
            $paid = [];
            foreach ($choice->ways($cents) as $way) {
                $taken = self::plan($way->change->apply($plan->piece));
                $pins = array_filter($taken->findings, fn (Finding $one): bool => $one->isPin());
                $paid[$way->words] = array_sum(array_map(
                    fn (Finding $one): float => $one->all * $cents[(int) $one->lengthMm], $pins,
                ));
            }
            $least = 0.0;
            foreach ($plan->parts() as $part) {
                if ($part->technique instanceof HeadPin) {
                    $needed = $part->technique->pinFit($part)->neededMm();
                    $reach = array_filter($cents, fn (int $length): bool => $length >= $needed, ARRAY_FILTER_USE_KEY);
                    $least += $part->times * $plan->piece->makes->count * min($reach);
                }
            }
            self::assertEqualsWithDelta($least, min($paid), 1e-9);
        }
    }

    /** A bag that was paid for prices its pins by the piece; their metal is then no more paid by the gram. */
    public function test_a_pin_is_paid_for_once(): void
    {
        $piece = Some::changed(
            Patterns::start('single-drop', 'Pin'),
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'source', 'value' => 'bought'],
        );
        $plan = self::plan($piece);
        $pin = array_values(array_filter($plan->findings, fn (Finding $one): bool => $one->isPin()))[0];
        $bill = fn (array $prices): Bill => Bill::of(
            $plan, new Prices(new SimulatedPrices, '2026-11-25', [], $prices), Costing::usual(),
        );
        $words = fn (Bill $of): array => array_map(fn ($line): string => $line->words, $of->lines);
        self::assertContains($pin->wire->words(), $words($bill([])));
        $priced = $bill([$pin->stock => UnitPrice::parse('0.20')]);
        self::assertNotContains($pin->wire->words(), $words($priced));
        self::assertContains($pin->words, $words($priced));
        self::assertSame($bill([])->grossGrams, $priced->grossGrams, 'it weighs what it weighs');
    }
}

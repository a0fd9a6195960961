<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\Piece;
use App\View\BillDesk;
use App\View\Coins;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Quantity\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What a piece costs, and the maker's own prices. */
final class BillTest extends TestCase
{
    private const PRICES = [
        'hour' => '30',
        'overhead' => '10',
        'margin' => ['stall' => '25'],
        'currency' => 'gbp',
        'metal' => ['sterling' => '1,5'],
    ];

    public function test_a_bill_shows_every_line_and_changes_with_the_makers_prices(): void
    {
        $piece = $this->piece('single-drop');
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/bill")->assertOk();
        $page->assertSeeInOrder(
            [
                'Sterling silver 20 AWG', 'made-up table', 'Time at the bench', 'an estimate', 'Cost', 'Overhead',
                'Margin', 'Price',
            ],
        )->assertSee('no market price')->assertSee('2 lines without a price');
        $this->put("/pieces/{$piece->ulid}/bill", self::PRICES)->assertStatus(303);
        $this->get(
            "/pieces/{$piece->ulid}/bill",
        )->assertSee('1.50 a gram, your own price')->assertSee('GBP')->assertSee('30.00 an hour')->assertSee('25 %');
        // Left empty the metal is priced by the table again.
        $this->put("/pieces/{$piece->ulid}/bill", ['metal' => ['sterling' => '']] + self::PRICES)->assertStatus(303);
        $this->get("/pieces/{$piece->ulid}/bill")->assertSee('made-up table');
    }

    /** By whichever list: what each of a batch costs is of the price that stands beside it. */
    public function test_each_of_a_batch_costs_its_share_by_the_list_that_is_looked_at(): void
    {
        $piece = $this->piece('single-drop');
        $this->change($piece, ['do' => 'makes', 'kind' => 'batch', 'count' => '3'])->assertOk();
        $this->put("/pieces/{$piece->ulid}/bill", [
            ...self::PRICES, 'margin' => ['stall' => '25', 'shop' => '80', 'friends' => '0'],
        ])->assertStatus(303);
        $desk = new BillDesk($piece->refresh(), $this->workshop()->refresh());
        $told = [];
        foreach ($this->workshop()->priceLists() as $list) {
            $price = $desk->askingBy($list)->priceCents();
            $each = intdiv($price + 2, 3);
            $told[] = $each;
            $this->get("/pieces/{$piece->ulid}/bill?list={$list->name}")
                ->assertSeeInOrder([Coins::amount($each), 'for 3, each '.$desk->money($each), Coins::text($price)]);
            $this->get("/pieces/{$piece->ulid}/quote?list={$list->name}")->assertSee(Coins::amount($each));
        }
        self::assertSame(array_unique($told), $told, 'lists differ');
    }

    public function test_beads_cost_what_the_tray_says_and_time_what_was_noted(): void
    {
        $piece = $this->piece('single-drop');
        $bead = app(\App\Actions\SupplyBook::class)->bead(
            $this->workshop(),
            CoreBead::parse('8mm round, hole 1, moss'),
            4,
        );
        $this->actingAs($this->maker)->put(
            "/beads/{$bead->ulid}",
            ['owned' => '4', 'price' => '0,35'],
        )->assertStatus(303);
        $this->put("/beads/{$bead->ulid}", ['owned' => '5'])->assertStatus(303);
        $this->put("/beads/{$bead->ulid}", ['owned' => '4', 'price' => '3.80 for 500'])->assertStatus(303);
        $this->get('/stock?as=rows')->assertSee('value="0.0076"', false);
        $this->put("/beads/{$bead->ulid}", ['owned' => '5', 'price' => '0,35'])->assertStatus(303);
        self::assertSame([5, 3500], [$bead->refresh()->owned, $bead->price_e4], 'a count alone leaves the price');
        $making = app(\App\Actions\Bench::class)->begin($piece);
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'minutes' => '44'])->assertStatus(303);
        $this->get("/pieces/{$piece->ulid}/bill")->assertSee('0.35 each')->assertSee('0.70')->assertSee(
            'from 1 making you noted and the plan, most likely',
        );
        $this->put(
            "/beads/{$bead->ulid}",
            ['owned' => '5', 'price' => 'much'],
        )->assertStatus(422)->assertSee('Price “much” is not so written: give an amount')->assertSee('3.80 for 500');
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function wrong(): array
    {
        return [
            'an hour in words' => [['hour' => 'cheap'], 'Hour “cheap” is not an amount'],
            'overhead beyond' => [['overhead' => '900'], 'Overhead'],
            'a margin of letters' => [['margin' => ['stall' => 'x']], 'Margin “x” is not a count'],
            'a fee of more than the price' => [['fee' => ['shop' => '61']], 'Fee'],
            'fee and tax that leave nothing' => [['fee' => ['stall' => '60'], 'tax' => '60'], '60 % beside 60 % tax'],
            'an ending there is none of' => [['rounding' => '.33'], 'Rounding'],
            'no currency' => [['currency' => '€'], 'give its three letters'],
            'five decimals' => [['metal' => ['sterling' => '1.23456']], 'at most four decimals'],
            'an unknown metal' => [['metal' => ['tin' => '1']], 'That metal is not known here'],
            'markup' => [['currency' => '<b>'], '&lt;b&gt;'],
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('wrong')]
    public function test_wrong_prices_are_refused_and_change_nothing(array $input, string $sentence): void
    {
        $piece = $this->piece('single-drop');
        $before = $this->workshop()->refresh()->only(
            ['currency', 'hour_cents', 'overhead_percent', 'margin_percent', 'metal_prices_e4'],
        );
        $this->actingAs($this->maker)->put(
            "/pieces/{$piece->ulid}/bill",
            $input + self::PRICES,
        )->assertStatus(422)->assertSee($sentence, false);
        self::assertSame($before, $this->workshop()->refresh()->only(array_keys($before)));
    }

    public function test_what_could_be_bought_or_made_otherwise_is_priced_and_taken(): void
    {
        $piece = $this->piece('linked-bracelet');
        $page = "/pieces/{$piece->ulid}/bill";
        $offer = (new BillDesk($piece, $this->workshop()))->offers();
        $rings = array_values(array_filter($offer, fn ($one): bool => $one->way->words === 'Buy the rings'))[0];
        $this->actingAs($this->maker)->get($page)->assertSee('Buy the rings')->assertSee('before their price');
        foreach ($rings->unpriced as $line) {
            $price = ['kind' => $line->kind, 'of' => $line->key, 'price' => '0.02'];
            $this->post("{$page}/price", $price)->assertStatus(303);
        }
        $this->get($page)->assertSee(' less');
        $fields = \Hebra\Core\Piece\ChangeWriter::fields($rings->way->change);
        $this->post("{$page}/take", ['revision' => '0'] + $fields)->assertStatus(409);
        $this->post("{$page}/take", ['revision' => (string) $piece->revision] + $fields)->assertRedirect($page);
        self::assertSame('bought', Piece::query()->findOrFail($piece->id)->document()->parts[2]->choice('source'));
        $this->get($page)->assertSee('Make the rings');
    }

    /** What a bag of pins was paid for prices each of them. */
    public function test_bought_pins_cost_what_their_bag_did(): void
    {
        $piece = $this->piece('single-drop');
        $page = "/pieces/{$piece->ulid}/bill";
        $this->actingAs($this->maker)->post('/stock', [
            'kind' => 'pins', 'name' => 'Bag of pins', 'metal' => 'sterling', 'size' => '24 awg',
            'temper' => 'dead-soft',
            'pins' => '50', 'pin_length' => '38 mm', 'price' => '12.50',
        ])->assertStatus(303);
        $this->get($page)->assertSee('Take bought pins');
        $offers = (new BillDesk($piece, $this->workshop()))->offers();
        $pins = array_values(array_filter($offers, fn ($one): bool => $one->way->words === 'Take bought pins'))[0];
        $this->post(
            "{$page}/take",
            ['revision' => (string) $piece->revision] + \Hebra\Core\Piece\ChangeWriter::fields($pins->way->change),
        )->assertRedirect($page);
        $this->get($page)->assertSee('0.25 each')->assertSee('Cut them from wire');
    }

    public function test_what_has_no_price_is_asked_for_where_it_stands(): void
    {
        $piece = $this->piece('post-drop');
        $desk = new BillDesk($piece, $this->workshop());
        $unpriced = array_values(array_filter($desk->bill->lines, fn ($line): bool => $line->cents === null));
        self::assertNotSame([], $unpriced);
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/bill")->assertSee('name="price"', false);
        foreach ($unpriced as $line) {
            $this->post(
                "/pieces/{$piece->ulid}/bill/price",
                ['kind' => $line->kind, 'of' => $line->key, 'price' => 'dear'],
            )->assertStatus(422)->assertSee('Price “dear” is not so written: give an amount');
            $this->post(
                "/pieces/{$piece->ulid}/bill/price",
                ['kind' => $line->kind, 'of' => $line->key, 'price' => '0.40'],
            )->assertStatus(303);
        }
        self::assertSame(0, (new BillDesk($piece, $this->workshop()))->bill->unpriced);
        self::assertSame(0, (int) $this->workshop()->beads()->sum('owned'), 'a price brings nothing into stock');
        $this->post(
            "/pieces/{$piece->ulid}/bill/price",
            ['kind' => 'bead', 'of' => 'nothing', 'price' => '1'],
        )->assertStatus(422);
    }

    /** The wire that is cut from a lot costs what the lot cost: in the choice of wire and in the bill. */
    public function test_the_lot_sets_the_price_on_every_page(): void
    {
        $piece = $this->piece('single-drop');
        $plan = (new BillDesk($piece, $this->workshop()))->plan;
        $wire = $plan->metal[0]->wire;
        app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'metal' => $wire->metal->value, 'size' => $wire->size->code(),
                'temper' => $wire->temper->value, 'amount' => '20 g', 'price' => '50',
            ],
            LengthUnit::Millimetre,
        );
        $line = (new BillDesk($piece, $this->workshop()))->bill->lines[0];
        self::assertSame('2.50 a gram, as you paid for it', $line->at);
        self::assertEqualsWithDelta(250 * $plan->metal[0]->grossGrams(), $line->cents, 0.51);
        $cents = $this->workshop()->metalPrices()->perGramE4($wire, '2026-11-28');
        self::assertSame(25_000, $cents);
    }

    /** Where a currency is used without decimals every price is whole, on all pages. */
    public function test_prices_without_decimals_are_whole(): void
    {
        $piece = $this->piece('single-drop');
        $this->actingAs($this->maker)->put(
            "/pieces/{$piece->ulid}/bill", [...self::PRICES, 'currency' => 'JPY', 'decimals' => '0'],
        )->assertStatus(303);
        $workshop = $this->workshop()->refresh();
        self::assertSame(['JPY', 0, '.00'], [
            $workshop->currency()->code, $workshop->currency()->decimals, $workshop->priceTerms()->rounding,
        ]);
        $page = (string) $this->get("/pieces/{$piece->ulid}/quote")->assertOk()->getContent();
        self::assertMatchesRegularExpression('/\d+ JPY/', $page);
        self::assertDoesNotMatchRegularExpression('/\d\.\d\d JPY/', $page);
        $this->put("/pieces/{$piece->ulid}/bill", [...self::PRICES, 'decimals' => '1'])->assertStatus(422)
            ->assertSee('Decimals');
        self::assertSame('JPY', $this->workshop()->refresh()->currency);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use Hebra\Core\Bead\Bead as CoreBead;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What a piece costs, and the maker's own prices. */
final class BillTest extends TestCase
{
    private const PRICES = ['hour' => '30', 'overhead' => '10', 'margin' => '25', 'currency' => 'gbp', 'metal' => ['sterling' => '1,5']];

    public function test_a_bill_shows_every_line_and_changes_with_the_makers_prices(): void
    {
        $piece = $this->piece('single-drop');
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/bill")->assertOk();
        $page->assertSeeInOrder(['Sterling silver 20 AWG', 'made-up table', 'Time at the bench', 'an estimate', 'Cost', 'Overhead', 'Margin', 'Price'])->assertSee('no market price')->assertSee('2 lines without a price');
        $this->put("/pieces/{$piece->ulid}/bill", self::PRICES)->assertStatus(303);
        $this->get("/pieces/{$piece->ulid}/bill")->assertSee('1.5 a gram, your own price')->assertSee('GBP')->assertSee('30.00 an hour')->assertSee('25 %');
        // Left empty the metal is priced by the table again.
        $this->put("/pieces/{$piece->ulid}/bill", ['metal' => ['sterling' => '']] + self::PRICES)->assertStatus(303);
        $this->get("/pieces/{$piece->ulid}/bill")->assertSee('made-up table');
    }

    public function test_beads_cost_what_the_tray_says_and_time_what_was_noted(): void
    {
        $piece = $this->piece('single-drop');
        $bead = app(\App\Actions\SupplyBook::class)->bead($this->workshop(), CoreBead::parse('8mm round, hole 1, moss'), 4);
        $this->actingAs($this->maker)->put("/beads/{$bead->ulid}", ['owned' => '4', 'price' => '0,35'])->assertStatus(303);
        $this->put("/beads/{$bead->ulid}", ['owned' => '5'])->assertStatus(303);
        self::assertSame([5, 35], [$bead->refresh()->owned, $bead->price_cents], 'a count alone leaves the price');
        $making = app(\App\Actions\Bench::class)->begin($piece);
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'minutes' => '44'])->assertStatus(303);
        $this->get("/pieces/{$piece->ulid}/bill")->assertSee('0.35 each')->assertSee('0.70')->assertSeeInOrder(['44 min', 'as you noted it']);
        $this->put("/beads/{$bead->ulid}", ['owned' => '5', 'price' => 'much'])->assertStatus(422)->assertSee('Price “much” is not an amount');
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function wrong(): array
    {
        return [
            'an hour in words' => [['hour' => 'cheap'], 'Hour “cheap” is not an amount'],
            'overhead beyond' => [['overhead' => '900'], 'Overhead'],
            'a margin of letters' => [['margin' => 'x'], 'Margin “x” is not a count'],
            'no currency' => [['currency' => '€'], 'give its three letters'],
            'five decimals' => [['metal' => ['sterling' => '1.23456']], 'at most four decimals'],
            'an unknown metal' => [['metal' => ['tin' => '1']], 'That metal is not known here'],
            'markup' => [['currency' => '<b>'], '&lt;B&gt;'],
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('wrong')]
    public function test_wrong_prices_are_refused_and_change_nothing(array $input, string $sentence): void
    {
        $piece = $this->piece('single-drop');
        $before = $this->workshop()->refresh()->only(['currency', 'hour_cents', 'overhead_percent', 'margin_percent', 'metal_prices_e4']);
        $this->actingAs($this->maker)->put("/pieces/{$piece->ulid}/bill", $input + self::PRICES)->assertStatus(422)->assertSee($sentence, false);
        self::assertSame($before, $this->workshop()->refresh()->only(array_keys($before)));
    }
}

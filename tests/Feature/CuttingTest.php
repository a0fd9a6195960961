<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\User;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Tests\TestCase;

/** Which coil each cut comes from, and what happens when it is cut. */
final class CuttingTest extends TestCase
{
    private function coil(string $size, string $amount, string $temper = 'dead-soft', string $kind = 'coil', string $name = ''): Lot
    {
        return app(Stockkeeping::class)->receive($this->workshop(), ['kind' => $kind, 'metal' => 'sterling', 'size' => $size, 'temper' => $temper, 'amount' => $amount, 'name' => $name], LengthUnit::Millimetre);
    }

    /** @param  array<string, string|int>  $more */
    private function tick(Piece $piece, Lot $lot, string $cut, array $more = []): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post("/cutting/ticks?pieces[]={$piece->ulid}", ['piece' => $piece->ulid, 'lot' => $lot->ulid, 'cut' => $cut, 'count' => 2, 'do' => 'cut', ...$more]);
    }

    public function test_an_offcut_is_used_before_a_coil_is_opened(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->coil('22 awg', '3 m', name: 'Long one');
        $this->coil('22 awg', '180 mm', kind: 'offcut', name: 'Short one');
        $this->actingAs($this->maker)->get('/cutting')->assertOk()->assertSee('Choose what to cut for')->assertSee('Test drops');
        $page = $this->get("/cutting?pieces[]={$piece->ulid}")->assertOk();
        // Both links come from the offcut; of the other two wires nothing is in stock.
        $page->assertSeeInOrder(['22 AWG', 'Short one', '2 × ', 'Link'])->assertDontSee('Long one:')->assertSee('To be bought');
        $pinned = $this->get("/cutting?pieces[]={$piece->ulid}&pins[{$piece->ulid}/p2]=".Lot::query()->where('name', 'Long one')->firstOrFail()->ulid)->assertOk();
        $pinned->assertSee('kept on this lot')->assertSeeInOrder(['Long one', '2 × ']);
    }

    public function test_what_is_cut_is_planned_no_more_and_what_is_spoiled_is_planned_again(): void
    {
        $piece = $this->piece('link-and-drop');
        $lot = $this->coil('22 awg', '1 m');
        $length = $this->workshop()->profile()->ruler->upMm(Planner::plan($piece->document(), $this->workshop()->profile())->cuts[1]->lengthMm());
        $this->tick($piece, $lot, 'p2', ['do' => 'spoiled'])->assertStatus(303);
        $this->get("/cutting?pieces[]={$piece->ulid}")->assertSee(', spoiled')->assertSee('2 × '.$this->workshop()->profile()->length($length));
        $this->tick($piece, $lot, 'p2')->assertStatus(303);
        self::assertSame(3, CutTick::query()->count());
        $this->get("/cutting?pieces[]={$piece->ulid}")->assertSee('All cut.')->assertSee('Cut so far');
        $this->tick($piece, $lot, 'p2')->assertStatus(422)->assertSee('All 2 of this cut are ticked off already.');
        // Nothing is booked before the making is closed.
        self::assertEqualsWithDelta(1000, $lot->refresh()->heldMm(), 0.2);
        $tick = CutTick::query()->where('is_spoiled', false)->firstOrFail();
        $this->delete("/cutting/ticks/{$tick->id}?pieces[]={$piece->ulid}")->assertStatus(303);
        $this->get("/cutting?pieces[]={$piece->ulid}")->assertSee('1 × '.$this->workshop()->profile()->length($length));
    }

    public function test_no_more_is_cut_than_a_lot_holds_and_nothing_of_others(): void
    {
        $piece = $this->piece('link-and-drop');
        $short = $this->coil('22 awg', '100 mm');
        $this->tick($piece, $short, 'p2')->assertStatus(422)->assertSee('holds 100 mm')->assertSee('were to come from it');
        $this->tick($piece, $short, 'p77')->assertStatus(422)->assertSee('no longer in the design');
        self::assertSame(0, CutTick::query()->count());
        $this->tick($piece, $short, 'p2', ['count' => 1])->assertStatus(303);
        $tick = CutTick::query()->firstOrFail();
        $stranger = User::factory()->create();
        $this->actingAs($stranger)->post('/cutting/ticks', ['piece' => $piece->ulid, 'lot' => $short->ulid, 'cut' => 'p2', 'count' => 1, 'do' => 'cut'])->assertStatus(422)->assertDontSee('Test drops');
        $this->actingAs($stranger)->delete("/cutting/ticks/{$tick->id}")->assertStatus(303);
        self::assertSame(1, CutTick::query()->count(), 'another workshop’s tick stays');
        $this->actingAs($stranger)->get("/cutting?pieces[]={$piece->ulid}")->assertOk()->assertDontSee('Test drops');
    }

    public function test_closing_the_making_books_what_was_ticked(): void
    {
        $piece = $this->piece('single-drop');
        $lot = $this->coil('24 awg', '1 m');
        $this->tick($piece, $lot, 'p2')->assertStatus(303);
        $this->coil('24 awg', '400 mm', kind: 'offcut');
        $making = app(\App\Actions\Bench::class)->begin($piece);
        // What was cut from is offered first, though another lot would do.
        $this->get("/pieces/{$piece->ulid}/log")->assertOk()->assertSee('value="'.$lot->ulid.'" selected', false);
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'lot' => ['p2' => $lot->ulid]])->assertStatus(303);
        self::assertSame(0, CutTick::query()->count());
        self::assertLessThan(1000, $lot->refresh()->heldMm());
    }
}

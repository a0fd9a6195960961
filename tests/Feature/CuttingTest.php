<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Cutting;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Exceptions\Refused;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Reservation;
use App\Models\User;
use App\Read\CuttingDesk;
use App\View\Market\ToBuyList;
use App\View\Stock\CuttingChoice;
use Hebra\Core\Market\Needs;
use Hebra\Core\Market\Taken;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Which coil each cut comes from, and what happens when it is cut. */
final class CuttingTest extends TestCase
{
    private function coil(
        string $size, string $amount, string $temper = 'dead-soft', string $kind = 'coil', string $name = '',
    ): Lot {
        return app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => $kind, 'metal' => 'sterling', 'size' => $size, 'temper' => $temper, 'amount' => $amount,
                'name' => $name,
            ],
            LengthUnit::Millimetre,
        );
    }

    /** @param  array<string, string|int>  $more */
    private function tick(Piece $piece, Lot $lot, string $cut, array $more = []): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post(
            "/cutting/ticks?pieces[]={$piece->ulid}",
            ['piece' => $piece->ulid, 'lot' => $lot->ulid, 'cut' => $cut, 'count' => 2, 'do' => 'cut', ...$more],
        );
    }

    public function test_an_offcut_is_used_before_a_coil_is_opened(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->coil('22 awg', '3 m', name: 'Long one');
        $this->coil('22 awg', '180 mm', kind: 'offcut', name: 'Short one');
        $this->actingAs($this->maker)->get('/cutting')->assertOk()->assertSee(
            'Choose what to cut for',
        )->assertSee('Test drops');
        $page = $this->get("/cutting?pieces[]={$piece->ulid}")->assertOk();
        // Both links come from the offcut; of the other two wires nothing is in stock.
        $page->assertSeeInOrder(
            ['22 AWG', 'Short one', '2 × ', 'Link'],
        )->assertDontSee('Long one:')->assertSee('To be bought');
        $pinned = $this->get(
            "/cutting?pieces[]={$piece->ulid}&pins[{$piece->ulid}/p2]=".Lot::query()->where(
                'name',
                'Long one',
            )->firstOrFail()->ulid,
        )->assertOk();
        $pinned->assertSee('kept on this lot')->assertSeeInOrder(['Long one', '2 × ']);
    }

    /**
     * Of few cuts the page tells a plan at once and searches on by itself until the least is proved; a list of few is
     * proved before it is shown.
     */
    public function test_among_many_pieces_those_to_cut_for_are_found(): void
    {
        $first = $this->piece('coil-drop');
        $first->update(['tags' => 'pier']);
        for ($at = 0; $at < 26; $at++) {
            $this->piece('open-ring');
        }
        $choice = new CuttingChoice($this->workshop(), [], '');
        self::assertSame([24, 3], [count($choice->rows), $choice->more]);
        self::assertNotContains($first->id, array_map(fn (array $one): int => $one['piece']->id, $choice->rows));
        $found = new CuttingChoice($this->workshop(), [], 'pier');
        self::assertSame([$first->id, 0], [$found->rows[0]['piece']->id, $found->more]);
        $chosen = new CuttingChoice($this->workshop(), [$first->ulid], 'nothing has these words');
        self::assertSame([[$first->id], true], [$chosen->chosen->pluck('id')->all(), $chosen->rows[0]['isChosen']]);
        $this->actingAs($this->maker)->get('/cutting?line=zeppelin')->assertOk()
            ->assertSee('No piece has these words.');
    }

    public function test_few_cuts_are_searched_until_the_least_is_proved(): void
    {
        $pieces = collect(
            array_map(
                fn (string $pattern): Piece => $this->piece($pattern),
                ['coil-drop', 'beaded-coil', 'wound-ring', 'open-ring'],
            ),
        );
        foreach ([61, 97, 113, 127, 149, 171, 191, 223] as $length) {
            foreach (['20 awg' => 'half-hard', '24 awg' => 'dead-soft'] as $size => $temper) {
                $this->coil($size, "{$length} mm", $temper);
            }
        }
        $page = fn (CuttingDesk $desk, bool $isLonger): string => view(
            'stock.cutting',
            [
                'desk' => $desk, 'isLonger' => $isLonger, 'choice' => new CuttingChoice($this->workshop(), [], ''),
                'buying' => ToBuyList::besideWire($this->workshop(), Needs::of(array_values($pieces->map(
                    fn (Piece $piece): array => [
                        Taken::of(Planner::plan($piece->document(), $this->workshop()->profile())), 1,
                    ],
                )->all()))), 'problem' => null,
            ],
        )->render();
        $this->actingAs($this->maker)->get('/cutting')->assertOk();
        $hurried = new CuttingDesk($this->workshop(), $pieces, [], 0.0);
        self::assertStringContainsString('hx-trigger="load, click"', $page($hurried, false));
        self::assertStringNotContainsString('hx-trigger="load, click"', $page($hurried, true), 'once is enough');
        $proved = $page(new CuttingDesk($this->workshop(), $pieces, [], 60.0), false);
        self::assertStringContainsString('No other way loses less.', $proved);
        self::assertStringNotContainsString('Search longer', $proved);
        $list = [
            'text' => "label;length;count\nrung;38;9\nrail;71;4\n",
            'wire' => Lot::query()->firstOrFail()->wire()->key(),
            'do' => 'take',
        ];
        $this->post('/cutting/list', $list)->assertOk()->assertSee(
            'No other way loses less.',
        )->assertDontSee('value="longer"', false);
    }

    public function test_what_is_cut_is_planned_no_more_and_what_is_spoiled_is_planned_again(): void
    {
        $piece = $this->piece('link-and-drop');
        $lot = $this->coil('22 awg', '1 m');
        $length = $this->workshop()->profile()->ruler->upMm(
            Planner::plan($piece->document(), $this->workshop()->profile())->cuts[1]->lengthMm(),
        );
        $this->tick($piece, $lot, 'p2', ['do' => 'spoiled'])->assertStatus(303);
        $this->get("/cutting?pieces[]={$piece->ulid}")->assertSee(', spoiled')->assertSee(
            '2 × '.$this->workshop()->profile()->length($length),
        );
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
        $this->tick($piece, $short, 'p2')->assertStatus(422)->assertSee('holds 100 mm')->assertSee(
            'were to come from it',
        );
        $this->tick($piece, $short, 'p77')->assertStatus(422)->assertSee('no longer in the design');
        foreach (['0', '-2', 'some', ''] as $count) {
            $this->tick($piece, $short, 'p2', ['count' => $count])->assertStatus(422)->assertSee('Count');
        }
        self::assertSame(0, CutTick::query()->count());
        $this->tick($piece, $short, 'p2', ['count' => 1])->assertStatus(303);
        $tick = CutTick::query()->firstOrFail();
        $stranger = User::factory()->create();
        $this->actingAs($stranger)->post(
            '/cutting/ticks',
            ['piece' => $piece->ulid, 'lot' => $short->ulid, 'cut' => 'p2', 'count' => 1, 'do' => 'cut'],
        )->assertStatus(422)->assertDontSee('Test drops');
        $this->actingAs($stranger)->delete("/cutting/ticks/{$tick->id}")->assertStatus(303);
        self::assertSame(1, CutTick::query()->count(), 'another workshop’s tick stays');
        $this->actingAs($stranger)->get("/cutting?pieces[]={$piece->ulid}")->assertOk()->assertDontSee('Test drops');
    }

    /** What is kept for one piece is not planned for another, until it is released or the making is closed. */
    public function test_wire_is_kept_for_a_piece(): void
    {
        $piece = $this->piece('link-and-drop');
        $other = $this->piece('link-and-drop');
        $offcut = $this->coil('22 awg', '180 mm', kind: 'offcut', name: 'Short one');
        $this->coil('22 awg', '3 m', name: 'Long one');
        $this->actingAs($this->maker)->post(
            "/cutting/reservations?pieces[]={$piece->ulid}",
        )->assertRedirect("/cutting?pieces%5B0%5D={$piece->ulid}");
        self::assertSame(
            ['p2', 2, $offcut->id],
            [
                Reservation::query()->value('cut'), (int) Reservation::query()->value('count'),
                (int) Reservation::query()->value('lot_id'),
            ],
        );
        $this->get("/cutting?pieces[]={$piece->ulid}")->assertSee('no other is planned on that wire')->assertSeeInOrder(
            ['Short one', '2 × ', 'kept on this lot'],
        );
        $this->get(
            "/cutting?pieces[]={$other->ulid}",
        )->assertSeeInOrder(['Long one', '2 × '])->assertDontSee('Short one:');
        $this->get('/stock?lot='.$offcut->ulid)->assertOk()->assertSeeInOrder(['Short one', 'kept for Test drops']);
        // One of the two is cut: one stays kept.
        $this->tick($piece, $offcut, 'p2', ['count' => 1])->assertStatus(303);
        $this->get("/cutting?pieces[]={$piece->ulid}")->assertSeeInOrder(['Short one', '1 × ', 'kept on this lot']);
        $this->delete("/cutting/reservations?pieces[]={$piece->ulid}")->assertStatus(303);
        self::assertSame(0, Reservation::query()->count());
        // A piece that is put away keeps nothing from the others.
        $this->delete('/cutting/ticks/'.CutTick::query()->value('id'));
        $this->post("/cutting/reservations?pieces[]={$piece->ulid}");
        $piece->delete();
        $this->get("/cutting?pieces[]={$other->ulid}")->assertSeeInOrder(['Short one', '2 × ']);
    }

    /** Two makers plan the last offcut at once: the second to keep it is told, and keeps nothing. */
    public function test_an_offcut_is_kept_for_one_piece_only(): void
    {
        $offcut = $this->coil('22 awg', '180 mm', kind: 'offcut', name: 'Short one');
        $mine = $this->piece('link-and-drop');
        $theirs = $this->piece('link-and-drop');
        $planned = array_map(
            fn (Piece $piece): CuttingDesk => new CuttingDesk($this->workshop(), collect([$piece])),
            [$mine, $theirs],
        );
        app(Cutting::class)->keep($planned[0]);
        try {
            app(Cutting::class)->keep($planned[1]);
            self::fail('The offcut was kept twice.');
        } catch (Refused $refused) {
            self::assertStringContainsString('Short one has been kept for Test drops', $refused->getMessage());
        }
        self::assertSame([$mine->id], Reservation::query()->pluck('piece_id')->all());
        app(Cutting::class)->keep($planned[0]);
        self::assertSame([$offcut->id], Reservation::query()->pluck('lot_id')->all(), 'keeping again replaces');
    }

    public function test_the_plan_leaves_as_a_table_and_says_what_is_to_be_bought(): void
    {
        $piece = $this->piece('post-drop');
        $this->coil('24 awg', '1 m', name: '=Coil');
        $csv = $this->actingAs($this->maker)->get(
            "/cutting/plan.csv?pieces[]={$piece->ulid}",
        )->assertOk()->getContent();
        self::assertStringContainsString("from,wire,piece,cut,length_mm,count,left_mm\n", (string) $csv);
        self::assertStringContainsString("'=Coil", (string) $csv, 'a name is no formula');
        $page = $this->get(
            "/cutting?pieces[]={$piece->ulid}",
        )->assertSee('Still to buy for them')->assertSeeInOrder(['Ear back', '2', '0', '2']);
        app(SupplyBook::class)->receive(
            $this->workshop(),
            ['kind' => 'finding', 'name' => 'Ear back', 'amount' => '2'],
            $this->workshop()->profile(),
        );
        $page = $this->get("/cutting?pieces[]={$piece->ulid}")->assertDontSee('Ear back');
    }

    /**
     * Ticked off from two lots, the log has a row for each; what was spoiled goes to the scrap jar; the book adds up.
     */
    public function test_one_kind_of_cut_is_booked_from_several_lots(): void
    {
        $piece = $this->piece('link-and-drop');
        $first = $this->coil('22 awg', '220 mm', name: 'First');
        $second = $this->coil('22 awg', '150 mm', name: 'Second');
        $this->tick($piece, $first, 'p2', ['count' => 1])->assertStatus(303);
        $this->tick($piece, $first, 'p2', ['do' => 'spoiled'])->assertStatus(303);
        $this->tick($piece, $second, 'p2', ['count' => 1])->assertStatus(303);
        $length = CutTick::query()->firstOrFail()->lengthMm();
        $making = app(\App\Actions\Bench::class)->begin($piece);
        $this->get(
            "/pieces/{$piece->ulid}/log",
        )->assertOk()->assertSee('name="lot[p2]"', false)->assertSee('name="lot[p2~2]"', false);
        $this->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'lot' => ['p2' => $first->ulid, 'p2~2' => $second->ulid]],
        )->assertStatus(303);
        // Each cut, the spoiled one too, costs a clean end of 1 mm.
        self::assertEqualsWithDelta(220 - 2 * ($length + 1), $first->refresh()->heldMm(), 0.5);
        self::assertEqualsWithDelta(150 - $length - 1, $second->refresh()->heldMm(), 0.5);
        self::assertSame(
            $first->mgOf($length + 1),
            (int) DB::table('movements')->where(
                'words',
                'like',
                'spoiled%',
            )->where('account', 'scrap jar')->sum('mass_mg'),
        );
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
    }

    public function test_some_of_a_kind_may_come_from_another_lot(): void
    {
        $piece = $this->piece('link-and-drop');
        [$first, $second] = [$this->coil('22 awg', '1 m', name: 'First'), $this->coil('22 awg', '1 m', name: 'Second')];
        $making = app(\App\Actions\Bench::class)->begin($piece);
        $input = [
            'as_it_is' => '1',
            'lot' => ['p2' => $first->ulid],
            'other_lot' => ['p2' => $second->ulid],
            'cut' => ['p2' => '90'],
            'left' => ['p2' => '0'],
        ];
        $this->actingAs($this->maker)->put(
            "/makings/{$making->ulid}",
            ['others' => ['p2' => '2']] + $input,
        )->assertStatus(422)->assertSee('From another lot 2 is out of range');
        $this->put("/makings/{$making->ulid}", ['others' => ['p2' => '1']] + $input)->assertStatus(303);
        self::assertEqualsWithDelta(909, $first->refresh()->heldMm(), 0.5);
        self::assertEqualsWithDelta(909, $second->refresh()->heldMm(), 0.5);
    }

    public function test_a_list_of_lengths_is_looked_at_then_planned(): void
    {
        $this->actingAs($this->maker)->get('/cutting/list')->assertOk()->assertSee('There is no wire in stock');
        $lot = $this->coil('22 awg', '300 mm', name: 'Rest');
        $wire = $lot->wire()->key();
        $this->get('/cutting/list')->assertOk()->assertSee('Look at it');
        $text = "Teil;mm;Anzahl\nrungs;38,5;6\nrail;nine;1";
        $page = $this->post(
            '/cutting/list',
            ['wire' => $wire, 'text' => $text, 'columns' => ['label' => '0', 'length' => '1', 'count' => '2']],
        )->assertOk();
        $page->assertSee('Line 3: Length “nine”')->assertSee('38,5');
        $good = [
            'wire' => $wire,
            'text' => str_replace('nine', '120', $text),
            'columns' => ['label' => '0', 'length' => '1', 'count' => '2'],
        ];
        // 6 × 38.5 + 120 and their trims are more than the 300 mm there are: the rest is to be bought.
        $this->post('/cutting/list', ['do' => 'take'] + $good)->assertOk()->assertSeeInOrder(
            ['pieces of stock', 'Rest', 'To be bought'],
        );
        $csv = (string) $this->post('/cutting/list', ['do' => 'csv'] + $good)->assertOk()->assertHeader(
            'Content-Type',
            'text/csv; charset=utf-8',
        )->getContent();
        preg_match_all('/,rungs,38\.5,(\d+),/', $csv, $match);
        self::assertSame(6, array_sum(array_map(intval(...), $match[1])), 'every cut is placed once');
        $this->post(
            '/cutting/list',
            ['wire' => $wire, 'text' => ''],
        )->assertStatus(422)->assertSee('table with a heading');
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

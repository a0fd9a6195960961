<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Movement;
use App\Read\MakingDesk;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class MakingTest extends TestCase
{
    private function coil(
        string $size, string $amount, string $temper = 'dead-soft', string $metal = 'sterling', string $kind = 'coil',
    ): Lot {
        return app(Stockkeeping::class)->receive(
            $this->workshop(),
            ['kind' => $kind, 'metal' => $metal, 'size' => $size, 'temper' => $temper, 'amount' => $amount],
            LengthUnit::Millimetre,
        );
    }

    private function begun(string $pattern = 'link-and-drop'): Making
    {
        return app(Bench::class)->begin($this->piece($pattern));
    }

    /** @param  array<string, mixed>  $input */
    private function step(Making $making, array $input): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->patch(
            "/makings/{$making->ulid}",
            ['at' => $making->refresh()->moves, ...$input],
            ['HX-Request' => 'true'],
        );
    }

    public function test_a_pair_is_made_step_by_step_and_nothing_is_skipped(): void
    {
        $making = $this->begun();
        $plan = Planner::plan($making->document(), $this->workshop()->profile());
        $hooks = 0;
        for ($at = 0; $at < $plan->stepCount(); $at++) {
            $step = (new MakingDesk($making->refresh(), $plan))->step;
            self::assertNotNull($step);
            if ($step->count > 0) {
                $this->step($making, ['do' => 'next'])->assertStatus(422)->assertSee(
                    "Counted 0 of {$step->count} {$step->counted}",
                );
                for ($count = 1; $count <= $step->count; $count++) {
                    $this->step($making, ['do' => 'count', 'counted' => $count])->assertOk();
                }
            }
            if ($step->asks !== '') {
                $hooks++;
                $this->step($making, ['do' => 'next'])->assertStatus(422)->assertSee($step->asks);
                $this->step($making, ['do' => 'next', 'hooked' => '1'])->assertOk();
            } else {
                $this->step($making, ['do' => 'next'])->assertOk();
            }
            self::assertSame($at + 1, $making->refresh()->step);
        }
        self::assertSame(2, $hooks, 'the drop of each earring is hooked on');
        $this->get("/pieces/{$making->piece->ulid}/make")->assertSee('steps are done');
    }

    /**
     * Every family goes through Make and into the book: all steps can be shown, each wire of the piece is booked once,
     * and nothing is lost.
     */
    #[Group('wide')]
    public function test_every_pattern_can_be_made_and_booked(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $making = $this->begun($pattern);
            $plan = Planner::plan($making->document(), $this->workshop()->profile());
            $making->forceFill(['step' => intdiv($plan->stepCount(), 2)])->save();
            $this->actingAs($this->maker)->get("/pieces/{$making->piece->ulid}/make")->assertOk();
            $making->forceFill(['step' => $plan->stepCount()])->save();
            $this->get("/pieces/{$making->piece->ulid}/log")->assertOk();
            $this->put("/makings/{$making->ulid}", ['minutes' => '30'])->assertRedirect();
            $booked = $making->movements()->where('account', 'pieces')->sum('mass_mg');
            $net = array_sum(array_map(fn ($metal): float => $metal->netGrams(), $plan->metal));
            self::assertEqualsWithDelta($net * 1000, (float) $booked, 2.0 * count($plan->strips()), $pattern);
            self::assertSame(0, (int) $making->movements()->sum('mass_mg'), $pattern);
        }
    }

    public function test_progress_outlives_a_reload_and_a_doubled_tap_counts_once(): void
    {
        $making = $this->begun();
        $this->step($making, ['do' => 'next'])->assertOk();
        $this->step($making, ['do' => 'count', 'counted' => 1])->assertOk();
        $this->step($making, ['do' => 'count', 'counted' => 1])->assertOk();
        self::assertSame([1, 1], [$making->refresh()->step, $making->counted]);
        $this->get("/pieces/{$making->piece->ulid}/make")->assertSeeText('1 of 2 pieces');
        $this->actingAs($this->maker)->patch(
            "/makings/{$making->ulid}",
            ['at' => 0, 'do' => 'next'],
            ['HX-Request' => 'true'],
        )->assertStatus(409)->assertSee('This making went on elsewhere');
        $this->step($making, ['do' => 'back'])->assertOk();
        self::assertSame([0, 0], [$making->refresh()->step, $making->counted]);
        $this->step($making, ['do' => 'dance'])->assertStatus(422);
    }

    public function test_starting_twice_is_one_making(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/makings")->assertRedirect();
        $this->post("/pieces/{$piece->ulid}/makings")->assertRedirect();
        self::assertSame(1, Making::query()->count());
        $this->delete('/makings/'.Making::query()->sole()->ulid)->assertRedirect();
        self::assertSame(0, Making::query()->count());
    }

    public function test_a_making_goes_on_with_the_design_it_began_with(): void
    {
        $making = $this->begun();
        $this->change($making->piece, ['do' => 'part.remove', 'part' => 'p3'])->assertOk();
        $this->get("/pieces/{$making->piece->ulid}/make")->assertOk()->assertSee('began with an earlier version');
        self::assertCount(3, $making->refresh()->document()->parts);
    }

    public function test_closing_moves_the_metal_all_at_once(): void
    {
        $ear = $this->coil('20awg', '500 mm', 'half-hard');
        $link = $this->coil('22awg', '1 m');
        app(SupplyBook::class)->bead($this->workshop(), CoreBead::parse('8mm round, hole 1, moss'), 5);
        $making = $this->begun();
        $this->actingAs($this->maker)->put("/makings/{$making->ulid}", [
            'as_it_is' => '1', 'minutes' => '65', 'note' => 'Went well.',
            'lot' => ['p1' => $ear->ulid, 'p2' => $link->ulid, 'p3' => ''],
            'cut' => ['p1' => '46', 'p2' => '160 mm', 'p3' => '40'],
            'left' => ['p1' => '0', 'p2' => '98', 'p3' => '6.5'], 'kept' => ['p1' => '0', 'p2' => '80', 'p3' => '0'],
        ])->assertRedirect("/pieces/{$making->piece->ulid}/log");
        $making->refresh();
        self::assertTrue($making->isClosed());
        self::assertSame([65, 'Went well.'], [$making->minutes, $making->note]);
        self::assertEqualsWithDelta(500 - 2 * 47, $ear->heldMm(), 0.3);
        self::assertEqualsWithDelta(1000 - 2 * 161, $link->heldMm(), 0.3);
        $offcuts = Lot::query()->where('kind', 'offcut')->get();
        self::assertCount(2, $offcuts);
        foreach ($offcuts as $offcut) {
            self::assertEqualsWithDelta(80, $offcut->heldMm(), 0.3);
        }
        self::assertSame(3, Bead::query()->value('owned'));
        $sum = fn (string $account): int => (int) Movement::query()->where(
            'making_id',
            $making->id,
        )->where('account', $account)->sum('mass_mg');
        // Gross = net + scrap + offcut kept: the making's lines add up to nothing.
        self::assertSame(0, (int) Movement::query()->where('making_id', $making->id)->sum('mass_mg'));
        self::assertGreaterThan(0, $sum('pieces'));
        self::assertGreaterThan(0, $sum('scrap jar'));
        self::assertLessThan(0, $sum('not booked'));
        $this->get(
            "/pieces/{$making->piece->ulid}/log",
        )->assertOk()->assertSee('65 minutes')->assertSee('wire not booked')->assertSee('Went well.');
        $this->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1'],
            ['HX-Request' => 'true'],
        )->assertStatus(409)->assertSee('already closed');
    }

    public function test_with_nothing_booked_a_making_closes_all_the_same(): void
    {
        $making = $this->begun('single-drop');
        $this->actingAs($this->maker)->put("/makings/{$making->ulid}", ['as_it_is' => '1'])->assertRedirect();
        self::assertTrue($making->refresh()->isClosed());
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        self::assertGreaterThan(3, DB::table('movements')->count());
    }

    public function test_taking_more_than_a_coil_holds_is_refused_with_its_way_out(): void
    {
        $short = $this->coil('22awg', '100 mm');
        $making = $this->begun();
        $input = [
            'as_it_is' => '1',
            'lot' => ['p2' => $short->ulid],
            'cut' => ['p2' => '80'],
            'left' => ['p2' => '20'],
        ];
        $this->actingAs($this->maker)->put(
            "/makings/{$making->ulid}",
            $input,
            ['HX-Request' => 'true'],
        )->assertStatus(422)
            ->assertSee(
                'Coil 1 holds 100 mm, and this takes 161 mm: 61 mm too little.',
            )->assertSee('The coil was longer')->assertSee('Take wire not booked yet');
        self::assertFalse($making->refresh()->isClosed());
        self::assertSame(2, DB::table('movements')->count());
        $this->put("/makings/{$making->ulid}", [...$input, 'longer' => [$short->ulid => '1']])->assertRedirect();
        self::assertSame(0, $short->heldMg());
        self::assertSame(
            1,
            DB::table('movements')->where('kind', 'corrected')->where('account', 'lot')->count(),
            'one correcting line',
        );
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badLogs(): array
    {
        return [
            'left more than cut' => [
                ['cut' => ['p2' => '80'], 'left' => ['p2' => '90']],
                'Left over is 90 mm, more than the 80 mm that was cut',
            ],
            'kept more than left' => [
                ['cut' => ['p2' => '80'], 'left' => ['p2' => '20'], 'kept' => ['p2' => '30']],
                'Kept is 30 mm, more than the 20 mm left over',
            ],
            'a word' => [['cut' => ['p2' => 'banana']], 'Cut “banana” is not a length'],
            'nothing cut' => [['cut' => ['p2' => '0']], 'The cut is 0: give the length that was really cut.'],
            'negative' => [['left' => ['p2' => '-3']], 'Left −3 mm is out of range'],
            'minutes in words' => [['minutes' => 'long'], 'Minutes “long” is not a count'],
            'too many minutes' => [['minutes' => '90000'], 'Minutes 90000 is out of range: give 0 to 6000.'],
            'a list for a length' => [['cut' => ['p2' => ['a']]], 'Cut came as a list: give one value.'],
            'a coil from nowhere' => [['lot' => ['p2' => 'nothing']], 'That coil is not in this workshop’s stock'],
            'a long note' => [['note' => str_repeat('n', 2001)], 'The note holds 2001 characters: give at most 2000.'],
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('badLogs')]
    public function test_a_bad_log_is_refused_and_nothing_moves(array $input, string $sentence): void
    {
        $making = $this->begun();
        $response = $this->actingAs($this->maker)->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', ...$input],
            ['HX-Request' => 'true'],
        )->assertStatus(422);
        self::assertSame(1, substr_count(html_entity_decode((string) $response->getContent()), $sentence));
        self::assertSame([0, 0], [DB::table('movements')->count(), DB::table('lots')->count()]);
        self::assertFalse($making->refresh()->isClosed());
    }

    public function test_a_coil_of_another_metal_cannot_have_been_cut_for_it(): void
    {
        $copper = $this->coil('22awg', '1 m', 'dead-soft', 'copper');
        $making = $this->begun();
        $this->actingAs($this->maker)->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'lot' => ['p2' => $copper->ulid]],
            ['HX-Request' => 'true'],
        )
            ->assertStatus(422)->assertSee('Coil 1 is copper, and this cut is sterling silver');
    }

    public function test_bought_pins_leave_their_lot_by_the_piece(): void
    {
        $pins = app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'pins', 'metal' => 'sterling', 'size' => '24awg', 'temper' => 'dead-soft', 'pins' => '10',
                'pin_length' => '50',
            ],
            LengthUnit::Millimetre,
        );
        self::assertSame(10, $pins->heldPins());
        $piece = $this->piece();
        $this->change($piece, ['do' => 'part.set', 'part' => 'p3', 'key' => 'source', 'value' => 'bought'])->assertOk();
        $making = app(Bench::class)->begin($piece->refresh());
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'lot' => ['p3' => $pins->ulid]])->assertRedirect();
        self::assertSame(8, $pins->heldPins());
    }

    public function test_an_unfinished_making_closes_only_when_said(): void
    {
        $making = $this->begun();
        $this->actingAs($this->maker)->put(
            "/makings/{$making->ulid}",
            [],
            ['HX-Request' => 'true'],
        )->assertStatus(422)->assertSee('steps to go');
        self::assertFalse($making->refresh()->isClosed());
    }

    /**
     * What the coil weighs afterwards settles the book: the correcting line is the difference, and all still adds up.
     */
    public function test_a_weighing_afterwards_settles_the_difference(): void
    {
        $lot = $this->coil('22 awg', '10 g');
        $making = $this->begun();
        $this->actingAs($this->maker)->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'lot' => ['p2' => $lot->ulid], 'weighed' => [$lot->ulid => 'much']],
        )->assertStatus(422)->assertSee('Weight “much” is not a weight');
        self::assertNull($making->refresh()->closed_at);
        $this->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'lot' => ['p2' => $lot->ulid], 'weighed' => [$lot->ulid => '9,21']],
        )->assertStatus(303);
        self::assertSame(9210, $lot->refresh()->heldMg());
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        self::assertSame(2, DB::table('movements')->where('kind', 'corrected')->count());
    }

    /** Metal is conserved: whatever is closed, the book adds up to nothing and no lot holds less than nothing. */
    public function test_metal_is_conserved_over_many_makings(): void
    {
        mt_srand(17);
        $coils = [$this->coil('20awg', '3 m', 'half-hard'), $this->coil('22awg', '40 g'), $this->coil('24awg', '5 m')];
        for ($run = 0; $run < 8; $run++) {
            $making = $this->begun();
            $input = ['as_it_is' => '1'];
            foreach (['p1', 'p2', 'p3'] as $index => $part) {
                $cut = mt_rand(80, 140);
                $left = mt_rand(0, 79);
                $input['cut'][$part] = (string) $cut;
                $input['left'][$part] = (string) $left;
                $input['kept'][$part] = (string) mt_rand(0, $left);
                $input['lot'][$part] = mt_rand(0, 3) === 0 ? '' : $coils[$index]->ulid;
            }
            $this->actingAs($this->maker)->put("/makings/{$making->ulid}", $input)->assertRedirect();
        }
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        foreach (Lot::query()->get() as $lot) {
            self::assertSame((int) DB::table('movements')->where('lot_id', $lot->id)->sum('mass_mg'), $lot->heldMg());
            self::assertGreaterThanOrEqual(0, $lot->heldMg());
        }
        foreach (DB::table('movements')->selectRaw('entry, SUM(mass_mg) AS total')->groupBy('entry')->get() as $entry) {
            self::assertSame(0, (int) $entry->total);
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Cutting;
use App\Actions\Stockkeeping;
use App\Models\CutTick;
use App\Models\Inspected;
use App\Models\Making;
use App\Models\MakingCut;
use App\Models\StepTime;
use App\Read\CuttingDesk;
use App\Read\MakingDesk;
use Hebra\Core\Hand\Work;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Plan\Copies;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Progress;
use Hebra\Core\Plan\Step;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** At the bench: the order of work, what a device sends late or twice, what goes wrong, time, looking over. */
final class BenchTest extends TestCase
{
    private function begun(string $pattern = 'link-and-drop'): Making
    {
        return app(Bench::class)->begin($this->piece($pattern));
    }

    private function plan(Making $making): Plan
    {
        return $making->plan($this->workshop()->profile());
    }

    private function desk(Making $making): MakingDesk
    {
        return new MakingDesk($making->refresh(), $this->plan($making));
    }

    /** @param  array<string, mixed>  $input */
    private function move(Making $making, array $input): TestResponse
    {
        return $this->actingAs($this->maker)->patch(
            "/makings/{$making->ulid}",
            ['at' => $making->refresh()->moves, 'all' => 1, 'hooked' => 1, 'do' => 'next', ...$input],
            ['HX-Request' => 'true'],
        );
    }

    /** On to the first step of a copy for which this holds. */
    private function until(Making $making, callable $holds): Step
    {
        for ($move = 0; $move < 300; $move++) {
            $step = $this->desk($making)->step;
            self::assertNotNull($step);
            if ($this->desk($making)->copy() !== null && $holds($step)) {
                return $step;
            }
            $this->move($making, [])->assertOk();
        }
        self::fail('No such step.');
    }

    public function test_both_of_a_pair_are_turned_on_the_same_mark_and_a_batch_goes_as_is_preferred(): void
    {
        $making = $this->begun();
        $first = $this->until($making, fn (Step $step): bool => $step->moment->kind === EventKind::Form);
        self::assertSame(0, $this->desk($making)->copy());
        $this->move($making, [])->assertOk()->assertSee('Second earring');
        self::assertSame([1, $first->title], [$this->desk($making)->copy(), $this->desk($making)->step?->title]);
        $this->move($making, ['do' => 'one'])->assertOk()->assertSee('One after the other.');
        $this->move($making, [])->assertOk();
        self::assertSame([0, false], [$this->desk($making)->copy(), $making->refresh()->is_across]);
        $this->move($making, ['do' => 'across'])->assertOk()->assertSee('One step across all 2');
    }

    /** A bracelet of fourteen parts is made operation by operation, unless its maker would rather go part by part. */
    public function test_what_is_alike_is_made_together_or_part_by_part(): void
    {
        $piece = $this->piece('linked-bracelet');
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/make")->assertOk();
        $page->assertSee('what is alike is done together')->assertSee('part by part instead');
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/makings")->assertRedirect();
        $making = $piece->openMaking()->firstOrFail();
        self::assertTrue($making->isByOperation());
        $step = $this->until($making, fn (Step $step): bool => $step->each !== null);
        self::assertSame(['6 × link: turn the top loop', 6, 'links'], [$step->title, $step->count, $step->counted]);
        $this->actingAs($this->maker)->patch(
            "/makings/{$making->ulid}", ['at' => $making->refresh()->moves, 'do' => 'count', 'counted' => 4],
            ['HX-Request' => 'true'],
        )->assertOk();
        // Spoiled, it is done on one again, and then the count goes on.
        $this->move($making, ['do' => 'next']);
        $this->move($making, ['do' => 'spoiled'])->assertOk()->assertSee('Once more');
        $again = $this->desk($making);
        $titles = [];
        while ($again->isAgain()) {
            $titles[] = $again->step?->title;
            $this->move($making, [])->assertOk();
            $again = $this->desk($making);
        }
        self::assertContains('Turn the top loop', $titles);
        self::assertTrue($making->refresh()->isByOperation(), 'the order is kept');
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/make")
            ->assertSee('of '.$this->plan($making)->stepCount())->assertSee($again->step->title ?? '?');
        $this->until($making, fn (Step $step): bool => $step->moment->kind === EventKind::Inspect);
        $this->actingAs($this->maker)->get("/makings/{$making->ulid}/steps/9.svg")->assertOk();

        $other = $this->piece('linked-bracelet');
        $this->actingAs($this->maker)->post("/pieces/{$other->ulid}/makings", ['order' => 'parts'])->assertRedirect();
        $apart = $other->openMaking()->firstOrFail();
        self::assertFalse($apart->isByOperation());
        self::assertGreaterThan($this->plan($making)->stepCount(), $this->plan($apart)->stepCount());
    }

    public function test_what_a_device_sends_late_counts_once(): void
    {
        $making = $this->begun();
        $events = [
            ['event' => 'one', 'do' => 'next', 'at' => 0, 'all' => '1', 'ms' => 60_000],
            ['event' => 'two', 'do' => 'count', 'at' => 1, 'counted' => 2],
            ['event' => 'three', 'do' => 'next', 'at' => 1],
        ];
        $send = fn (array $events): TestResponse => $this->actingAs($this->maker)->postJson(
            "/makings/{$making->ulid}/events",
            ['events' => $events],
        );
        $send($events)->assertOk()->assertJson(['moves' => 2, 'step' => 2, 'counted' => 0, 'left' => []]);
        // The answer was lost, and all is sent again, with one more.
        $send(
            [...$events, ['event' => 'four', 'do' => 'count', 'at' => 2, 'counted' => 1]],
        )->assertOk()->assertJson(['moves' => 2, 'counted' => 1, 'left' => []]);
        self::assertSame([2, 1], [$making->refresh()->step, StepTime::query()->count()]);
        // What another device has overtaken is named and left.
        $late = $send([['event' => 'five', 'do' => 'next', 'at' => 0, 'all' => '1']])->assertOk();
        self::assertStringContainsString('went on elsewhere', $late->json('left.0'));
        self::assertSame(2, $making->refresh()->step);
        $send(
            [
                ['event' => str_repeat('x', 90), 'do' => 'next', 'at' => 2], 'no event',
                ['event' => 'six', 'do' => ['next'], 'at' => 2],
            ],
        )->assertOk()->assertJsonCount(3, 'left');
        $this->postJson("/makings/{$making->ulid}/events", ['events' => 'none'])->assertStatus(422);
        self::assertSame(2, $making->refresh()->step);
    }

    /** Replayed at random with losses and repeats, a making stands where it would have stood. */
    public function test_nothing_is_lost_or_doubled_whatever_the_connection_does(): void
    {
        mt_srand(8);
        $making = $this->begun();
        $plan = $this->plan($making);
        $queue = [];
        $moves = 0;
        for ($at = 0; $at < 20; $at++) {
            $queue[] = ['event' => "event {$at}", 'do' => 'next', 'at' => $moves++, 'all' => '1', 'hooked' => '1'];
        }
        $sent = 0;
        while ($sent < count($queue)) {
            $from = max(0, $sent - mt_rand(0, 3));
            $many = mt_rand(1, 6);
            $this->actingAs($this->maker)->postJson(
                "/makings/{$making->ulid}/events",
                ['events' => array_slice($queue, $from, $many)],
            )->assertOk()->assertJsonCount(0, 'left');
            $sent = max($sent, min(count($queue), $from + $many));
        }
        self::assertSame([20, 20], [$making->refresh()->step, $making->moves]);
        self::assertEquals(
            Progress::after(new Copies(count($plan->prepare()), count($plan->steps()), 2, true), 20),
            $this->desk($making)->progress,
        );
    }

    public function test_a_number_of_wraps_is_asked_of_the_twin_side(): void
    {
        $making = $this->begun();
        $step = $this->until($making, fn (Step $step): bool => $step->counted === 'wraps');
        $this->move(
            $making,
            ['do' => 'count', 'counted' => $step->count + 1],
        )->assertOk()->assertSeeText(($step->count + 1)." of {$step->count} wraps");
        $this->move($making, ['all' => ''])->assertOk();
        $twin = $this->until($making, fn (Step $step): bool => $step->counted === 'wraps');
        self::assertSame($step->title, $twin->title, 'the same of the other earring');
        self::assertSame($step->count + 1, $this->desk($making)->expected());
        $this->actingAs($this->maker)->get("/pieces/{$making->piece->ulid}/make")->assertSeeText(
            "as on its twin ({$step->count} planned)",
        );
        $this->move($making, ['do' => 'count', 'counted' => $step->count])->assertOk();
        $this->move($making, ['all' => ''])->assertStatus(422)->assertSee(
            "Counted {$step->count} of ".($step->count + 1),
        );
    }

    public function test_a_spoiled_cut_is_noted_and_its_steps_come_again(): void
    {
        $lot = app(Stockkeeping::class)->receive(
            $this->workshop(),
            ['metal' => 'sterling', 'size' => '22 awg', 'temper' => 'dead-soft', 'amount' => '3 m'],
            LengthUnit::Millimetre,
        );
        $making = $this->begun();
        app(Cutting::class)->keep(new CuttingDesk($this->workshop(), collect([$making->piece])));
        $this->until(
            $making,
            fn (Step $step): bool => str_starts_with($step->part, 'p2') && $step->counted === 'wraps',
        );
        $before = $this->desk($making);
        $this->move($making, ['do' => 'spoiled'])->assertOk()->assertSee('Once more');
        $again = $this->desk($making);
        self::assertTrue($again->isAgain());
        self::assertSame($before->progress->count(), $again->progress->count());
        // A new piece of wire is cut first.
        self::assertStringStartsWith('Cut 1 × ', $again->step?->title ?? '');
        self::assertSame($before->cut()?->key(), $again->step?->cut);
        foreach (array_slice($again->progress->again, 1) as [$copy, $at]) {
            self::assertSame(
                [$before->copy(), $before->step?->part],
                [$copy, $this->plan($making)->steps()[$at]->part],
            );
        }
        self::assertSame(
            [1, $lot->id, true],
            [
                CutTick::query()->count(), CutTick::query()->value('lot_id'),
                (bool) CutTick::query()->value('is_spoiled'),
            ],
        );
        for ($move = count($again->progress->again); $move > 0; $move--) {
            $this->move($making, [])->assertOk();
        }
        self::assertEquals($before->progress->done, $this->desk($making)->progress->done);
        self::assertSame($before->step?->title, $this->desk($making)->step?->title);
        $this->move($making, ['do' => 'short'])->assertOk();
        self::assertSame(['spoiled', 'short'], array_column($making->refresh()->troubles ?? [], 'kind'));
        self::assertSame(2, CutTick::query()->count());
        $this->move($making, ['do' => 'back'])->assertOk();
        self::assertFalse($this->desk($making)->isAgain(), 'taken back');
        self::assertSame(
            [1, ['spoiled']],
            [CutTick::query()->count(), array_column($making->refresh()->troubles ?? [], 'kind')],
        );
    }

    /**
     * What ran short is a lower bound of its own: the whole cut was used, and more was wanted. The wire that took its
     * place says nothing of it.
     */
    public function test_a_wire_that_ran_short_at_the_bench_teaches_when_it_is_closed(): void
    {
        $making = $this->begun();
        $this->until(
            $making,
            fn (Step $step): bool => str_starts_with($step->part, 'p2') && $step->counted === 'wraps',
        );
        $this->move($making, ['do' => 'short'])->assertOk();
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1'])->assertRedirect();
        $cut = $this->plan($making)->cuts[1];
        $bound = MakingCut::query()->where('is_bound', true)->sole();
        self::assertSame([1, 'loops', 0], [$bound->count, $bound->way, $bound->left_um]);
        self::assertEqualsWithDelta(
            Work::in($cut)->ratio($this->workshop()->profile()->ruler->upMm($cut->lengthMm())),
            $bound->ratio(),
            1e-4,
        );
        self::assertSame(3, MakingCut::query()->where('is_bound', false)->whereNull('way')->count());
    }

    /**
     * A frame and what is bound to it are two wires of one part: the one under the fingers lies under the step, is told
     * from its lot, and comes again alone.
     */
    public function test_of_two_wires_in_one_part_the_one_on_the_bench_is_meant(): void
    {
        $making = $this->begun('framed-drop');
        $plan = $this->plan($making);
        $binding = array_values(array_filter($plan->cuts, fn (Cut $cut): bool => $cut->slot !== ''))[0];
        $frame = array_values(array_filter($plan->cuts, fn (Cut $cut): bool => $cut->part === $binding->part))[0];
        // The step that cuts it shows it too.
        foreach ($plan->cuts as $at => $cut) {
            $making->forceFill(['step' => 1 + $at])->save();
            self::assertSame($cut->key(), $this->desk($making)->cut()?->key());
        }
        $making->forceFill(['step' => 0])->save();
        self::assertNotSame($frame->key(), $binding->key());
        $lot = app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'metal' => $binding->wire->metal->value, 'size' => $binding->wire->size->text(),
                'temper' => $binding->wire->temper->value, 'amount' => '5 m',
            ],
            LengthUnit::Millimetre,
        );
        $this->until($making, fn (Step $step): bool => $step->title === 'Frame: shape the frame');
        self::assertSame($frame->key(), $this->desk($making)->cut()?->key());
        $this->until($making, fn (Step $step): bool => str_contains($step->title, 'bind the beads on'));
        foreach ([4 => false, 5 => true, 6 => false, 9 => false] as $counted => $straightens) {
            $this->move($making, ['do' => 'count', 'counted' => $counted])->assertOk();
            self::assertSame($straightens, $this->desk($making)->straightens(), "after {$counted}");
        }
        for (
            $move = 0; $move < 60
            && ! str_contains($this->desk($making)->step->title ?? '', 'end the binding'); $move++
        ) {
            $this->move($making, [])->assertOk();
        }
        self::assertSame($binding->key(), $this->desk($making)->cut()?->key());
        $this->actingAs($this->maker)->get(
            "/pieces/{$making->piece->ulid}/make",
        )->assertSee('Strip of '.$binding->label);
        $this->move($making, ['do' => 'spoiled'])->assertOk();
        self::assertSame(
            [$lot->id, $binding->key()],
            [(int) CutTick::query()->value('lot_id'), CutTick::query()->value('cut')],
        );
        $again = array_map(
            fn (array $one): Step => $plan->steps()[$one[1]],
            array_slice($this->desk($making)->progress->again, 1),
        );
        self::assertNotSame([], $again);
        foreach ($again as $step) {
            self::assertContains($binding->part.':binding', $step->marks, $step->title);
        }
    }

    public function test_time_is_taken_and_what_ran_over_night_is_capped(): void
    {
        $making = $this->begun();
        $this->move($making, ['ms' => 45_000])->assertOk();
        $this->move($making, ['ms' => 9 * 3_600_000])->assertOk();
        $this->move($making, ['ms' => -5_000])->assertOk();
        $this->move($making, ['ms' => 'soon'])->assertOk();
        $times = StepTime::query()->orderBy('id')->get();
        self::assertSame(
            [[45_000, false], [600_000, true]],
            $times->map(fn (StepTime $time): array => [$time->taken_ms, $time->is_capped])->all(),
        );
        $this->get("/pieces/{$making->piece->ulid}/log")->assertSee('name="minutes" value="11"', false);
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'minutes' => '11'])->assertRedirect();
        $this->get("/makings/{$making->ulid}/record")->assertOk()->assertSee('1 step ran on while nobody worked');
        self::assertSame(0, DB::table('bench_events')->count());
    }

    public function test_what_has_to_rest_offers_other_work(): void
    {
        $making = $this->begun();
        $other = $this->begun();
        $this->move(
            $making,
            ['do' => 'wait', 'minutes' => 20],
        )->assertOk()->assertSee('It rests until')->assertSee("/pieces/{$other->piece->ulid}/make");
        $this->get('/')->assertSee('rests until')->assertSeeInOrder(['now', 'Test drops', 'lay everything ready']);
        $this->get("/pieces/{$other->piece->ulid}/make")->assertDontSee('It rests until');
        $this->move($making, ['do' => 'wait', 'minutes' => 0])->assertOk()->assertDontSee('It rests until');
        $this->move(
            $making,
            ['do' => 'wait', 'minutes' => 99_999],
        )->assertStatus(422)->assertSee('give from 1 to 10080');
        $this->move($making, ['do' => 'wait', 'minutes' => 20])->assertOk();
        $this->travel(21)->minutes();
        $this->get("/pieces/{$making->piece->ulid}/make")->assertDontSee('It rests until');
    }

    public function test_the_finished_piece_is_looked_over_and_mended(): void
    {
        $making = $this->begun();
        $plan = $this->plan($making);
        $making->forceFill(['step' => $plan->stepCount()])->save();
        $page = $this->actingAs($this->maker)->get(
            "/pieces/{$making->piece->ulid}/make",
        )->assertOk()->assertSee('steps are done')->assertDontSee('checked', false);
        foreach (Inspection::of($plan) as $point) {
            $page->assertSee($point->look);
        }
        $this->put(
            "/makings/{$making->ulid}/inspection",
            ['found' => ['ends' => 'fine', 'wraps' => 'mend', 'nonsense' => 'fine'], 'measured' => ['fit' => '61 mm']],
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee('to mend')->assertSee('Mend it at');
        self::assertSame(
            ['ends' => true, 'wraps' => false],
            Inspected::query()->orderBy('point')->pluck('is_fine', 'point')->all(),
        );
        self::assertSame(61_000, (int) $making->measurements()->value('measured_um'));
        $this->put(
            "/makings/{$making->ulid}/inspection",
            ['found' => ['ends' => 'maybe']],
            ['HX-Request' => 'true'],
        )->assertStatus(422)->assertSee('give fine or mend');
        $this->put(
            "/makings/{$making->ulid}/inspection",
            ['measured' => ['fit' => 'long']],
            ['HX-Request' => 'true'],
        )->assertStatus(422)->assertSee('is not a length');
        $step = array_values(
            array_filter(Inspection::of($plan), fn ($point): bool => $point->key === 'wraps'),
        )[0]->step;
        $this->put(
            "/makings/{$making->ulid}/inspection",
            ['found' => ['wraps' => 'mend'], 'mend' => "{$step}/1"],
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee($plan->steps()[$step]->title);
        self::assertSame([[1, $step]], $this->desk($making)->progress->again);
        $this->put(
            "/makings/{$making->ulid}/inspection",
            ['mend' => '900/1'],
            ['HX-Request' => 'true'],
        )->assertStatus(422);
        $this->move($making, [])->assertOk()->assertSee('steps are done');
    }

    /** Whatever goes wrong is a key away, with what it means; a bead that broke is one less, and noted as missed. */
    public function test_what_goes_wrong_is_told_and_a_broken_bead_is_counted(): void
    {
        $piece = $this->piece();
        $own = app(\App\Actions\SupplyBook::class)->bead(
            $this->workshop(), array_values($piece->document()->beads)[0], 20,
        );
        $making = app(Bench::class)->begin($piece);
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/make")->assertOk();
        foreach (\Hebra\Core\Plan\Trouble::cases() as $trouble) {
            $page->assertSee($trouble->words())->assertSee('data-key="'.$trouble->key().'"', false);
        }
        $this->post("/makings/{$making->ulid}/broken", ['bead' => $own->core()->key()])->assertStatus(303);
        self::assertSame(19, $own->refresh()->owned);
        self::assertSame(0, $making->refresh()->moves);
        $this->post("/makings/{$making->ulid}/broken", ['bead' => 'none'])->assertStatus(303);
        self::assertSame(19, $own->refresh()->owned);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Box;
use App\Actions\CloseMaking;
use App\Actions\Going;
use App\Actions\History;
use App\Actions\Planning;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Models\Finished;
use App\Models\Occasion;
use App\Models\StepTime;
use App\Models\User;
use App\Models\Want;
use App\Read\PlannedToday;
use App\Read\Wanted;
use App\View\Market\FitsDesk;
use App\View\Market\PlanDesk;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\Place;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Date;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is wanted by when, and the days that are planned for it. */
final class PlanTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // A Monday: an hour and a half at the bench.
        Date::setTestNow(CarbonImmutable::parse('2026-11-30 10:00'));
    }

    private function market(string $due = '2026-12-12'): Occasion
    {
        return app(Planning::class)->plan(
            $this->workshop(), ['kind' => 'market', 'name' => 'Quay market', 'due' => $due],
        );
    }

    private function want(Occasion $occasion, int $count, string $price = ''): Want
    {
        return app(Planning::class)->want($occasion, [
            'piece' => $this->piece()->ulid, 'count' => (string) $count, 'price' => $price,
        ]);
    }

    public function test_a_plan_from_nothing_to_a_day_that_is_done(): void
    {
        $this->actingAs($this->maker)->get('/plan')->assertOk()->assertSee('Nothing is wanted yet');
        $this->post(
            '/occasions', ['kind' => 'market', 'name' => 'Quay market', 'due' => '2026-12-12'],
        )->assertRedirect('/plan');
        $occasion = Occasion::query()->sole();
        $piece = $this->piece();
        // What is not being changed has no open fields; who asks, or was refused, has them.
        $form = "action=\"/occasions/{$occasion->ulid}/wants\"";
        $this->get('/plan')->assertDontSee($form, false)->assertSee("/plan?change={$occasion->ulid}");
        $this->get("/plan?change={$occasion->ulid}")->assertSee($form, false);
        $this->put("/occasions/{$occasion->ulid}/wants", ['piece' => $piece->ulid, 'count' => 'some'])
            ->assertUnprocessable()->assertSee($form, false);
        $this->put("/occasions/{$occasion->ulid}/wants", ['piece' => $piece->ulid, 'count' => '2', 'price' => '38'])
            ->assertRedirect('/plan');
        $this->get('/plan')->assertOk()->assertSee('Quay market, 12 December')->assertSee('0 of 2')
            ->assertSee('all of it in time')->assertSee('To buy');
        foreach ([1, 2] as $made) {
            $making = app(Bench::class)->begin($piece->refresh());
            app(CloseMaking::class)->close($making, $this->workshop(), ['as_it_is' => '1']);
            $this->get('/plan')->assertSee("{$made} of 2");
        }
        self::assertSame(0.0, (new Wanted($this->workshop()))->plan()->minutes);
    }

    public function test_what_is_made_counts_for_what_is_due_first(): void
    {
        $piece = $this->piece();
        [$late, $early] = [$this->market('2026-12-20'), $this->market('2026-12-05')];
        foreach ([$late, $early] as $occasion) {
            app(Planning::class)->want($occasion, ['piece' => $piece->ulid, 'count' => '1']);
        }
        app(CloseMaking::class)->close(app(Bench::class)->begin($piece), $this->workshop(), ['as_it_is' => '1']);
        $made = array_map(fn ($one): int => $one->made, (new Wanted($this->workshop()))->pieces);
        self::assertSame([1, 0], $made);
    }

    public function test_a_making_under_way_takes_less(): void
    {
        $piece = $this->piece();
        app(Planning::class)->want($this->market(), ['piece' => $piece->ulid, 'count' => '1']);
        $before = (new Wanted($this->workshop()))->plan()->minutes;
        $making = app(Bench::class)->begin($piece);
        $making->forceFill(['step' => 12])->save();
        $after = (new Wanted($this->workshop()->refresh()))->plan()->minutes;
        self::assertLessThan($before - 3, $after);
        self::assertGreaterThan(0.0, $after);
    }

    public function test_too_much_is_said_with_its_ways_out_and_each_helps(): void
    {
        $want = $this->want($this->market('2026-12-03'), 12, '38.00');
        $this->actingAs($this->maker)->get('/plan')->assertOk()->assertSee('short')->assertSee('is late');
        $desk = new PlanDesk(new Wanted($this->workshop()));
        self::assertNotSame('', $desk->short());
        $ways = $desk->ways();
        self::assertNotSame([], $ways);
        foreach ($ways as $way) {
            $this->put($way['action'], $way['fields'])->assertRedirect('/plan');
            self::assertSame('', (new PlanDesk(new Wanted($this->workshop()->refresh())))->short(), $way['words']);
            $want->newQuery()->updateOrInsert(['id' => $want->id], $want->getAttributes());
            $this->workshop()->forceFill(['day_minutes' => null])->save();
        }
    }

    public function test_hours_are_set_by_week_and_by_day(): void
    {
        $this->actingAs($this->maker)->put('/plan/week', ['week' => ['1', '0', '45 min', '1½', '1:15', '4 h', '']])
            ->assertRedirect('/plan');
        self::assertSame([60, 0, 45, 90, 75, 240, 0], $this->workshop()->refresh()->weekMinutes());
        $this->put('/plan/day', ['day' => '2026-12-02', 'time' => '3'])->assertRedirect('/plan');
        $days = (new Wanted($this->workshop()->refresh()))->days;
        self::assertSame([60, 0, 180, 90], array_map($days->minutesOn(...), [0, 1, 2, 3]));
        $this->put('/plan/week', ['week' => ['0', '0', '0', '0', '0', '0', '0']])->assertStatus(422)
            ->assertSee('a quarter of an hour');
        $this->put('/plan/week', ['week' => ['soon']])->assertStatus(422)->assertSee('“soon” is no time at the bench');
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function noOccasions(): array
    {
        return [
            'no name' => [['name' => ' '], 'Its name holds 0 characters'],
            'a day that has passed' => [['due' => '2026-11-29'], '29 November 2026 has passed'],
            'no day' => [['due' => 'soon'], '“soon” is no day'],
            'no such day' => [['due' => '2026-02-31'], 'is no day'],
            'years ahead' => [['due' => '2031-01-01'], 'is far ahead'], 'another kind' => [['kind' => 'war'], 'war'],
            'a long note' => [['note' => str_repeat('a', 501)], '501 characters'],
            'no amount' => [['paid' => 'some'], 'some'],
        ];
    }

    /** @param  array<string, string>  $input */
    #[DataProvider('noOccasions')]
    public function test_what_cannot_be_planned_is_said_and_nothing_is_kept(array $input, string $says): void
    {
        $this->actingAs($this->maker)->post('/occasions', [
            'kind' => 'order', 'name' => 'Ysolde', 'due' => '2026-12-12', ...$input,
        ])->assertStatus(422)->assertSee($says);
        self::assertSame(0, Occasion::query()->count());
    }

    public function test_what_is_wanted_of_nothing_is_refused(): void
    {
        $occasion = $this->market();
        $stranger = $this->piece(workshop: User::factory()->create()->workshop);
        foreach ([
            ['piece' => $stranger->ulid], ['count' => '0'], ['count' => 'many'], ['from' => '2026-11-01'],
        ] as $input) {
            $this->actingAs($this->maker)->put("/occasions/{$occasion->ulid}/wants", [
                'piece' => $this->piece()->ulid, 'count' => '1', ...$input,
            ])->assertStatus(422);
        }
        self::assertSame(0, Want::query()->count());
    }

    public function test_counts_go_up_and_down_and_what_is_taken_out_leaves_what_is_made(): void
    {
        $want = $this->want($this->market(), 2);
        $this->actingAs($this->maker)->put("/plan/wants/{$want->ulid}", ['count' => '5'])->assertRedirect('/plan');
        self::assertSame(5, $want->refresh()->count);
        $this->put("/plan/wants/{$want->ulid}", ['count' => '0'])->assertRedirect('/plan');
        self::assertSame(0, Want::query()->count());
        $occasion = Occasion::query()->sole();
        $this->put("/occasions/{$occasion->ulid}", ['kind' => 'market', 'name' => 'Pier market', 'due' => '2026-12-13'])
            ->assertRedirect('/plan');
        self::assertSame('Pier market', $occasion->refresh()->name);
        $this->delete("/occasions/{$occasion->ulid}")->assertRedirect('/plan');
        self::assertSame(0, Occasion::query()->count());
    }

    public function test_of_a_piece_that_was_deleted_nothing_is_planned_until_it_is_back(): void
    {
        $want = $this->want($this->market(), 2);
        $want->piece->delete();
        self::assertSame([], (new Wanted($this->workshop()))->pieces);
        $this->actingAs($this->maker)->get('/plan')->assertOk();
        $want->piece->restore();
        self::assertCount(1, (new Wanted($this->workshop()))->pieces);
    }

    public function test_another_maker_s_plan_is_not_there(): void
    {
        $want = $this->want($this->market(), 1);
        $other = User::factory()->create();
        $this->actingAs($other)->put("/plan/wants/{$want->ulid}", ['count' => '0'])->assertNotFound();
        $this->delete("/occasions/{$want->occasion->ulid}")->assertNotFound();
        self::assertSame(1, Want::query()->count());
    }

    public function test_what_is_to_be_bought_is_what_all_takes_less_what_is_there(): void
    {
        $this->want($this->market(), 3);
        $wanted = new Wanted($this->workshop());
        $rows = (new PlanDesk($wanted))->toBuy->rows;
        self::assertCount(
            count($wanted->needs()->wires) + count($wanted->needs()->beads) + count($wanted->needs()->findings), $rows,
        );
        $this->actingAs($this->maker)->get('/plan/to-buy')->assertOk()->assertSee('Wire, in whole metres');
        $csv = (string) $this->get('/plan/to-buy.csv')->assertOk()->getContent();
        foreach ($rows as $row) {
            self::assertStringContainsString($row['buy'], $csv);
        }
    }

    public function test_times_are_read_as_makers_write_them(): void
    {
        foreach ([
            '2' => 120, '1.5' => 90, '1,5' => 90, '1 1/2' => 90, '1½' => 90, '¼' => 15, '45 min' => 45, '1:30' => 90,
            '' => 0,
        ] as $text => $minutes) {
            self::assertSame($minutes, Planning::minutes((string) $text, 'time'), (string) $text);
        }
        foreach (['-1', '25', 'noon', '1:75', '2000 min'] as $text) {
            try {
                Planning::minutes($text, 'time');
                self::fail($text);
            } catch (Problem $problem) {
                self::assertSame('time', $problem->field());
            }
        }
    }

    /** The day on the bench is the day of the plan, and follows it as soon as anything changes. */
    public function test_the_bench_shows_what_the_plan_has_for_today(): void
    {
        self::assertSame([], PlannedToday::of($this->workshop()));
        $want = $this->want($this->market(), 2);
        $planned = PlannedToday::of($this->workshop());
        self::assertSame(["/pieces/{$want->piece->ulid}/make"], array_column($planned, 'url'));
        $ofDay = array_sum(array_map(
            fn ($sitting): float => $sitting->minutes, (new Wanted($this->workshop()))->plan()->on(0),
        ));
        self::assertEqualsWithDelta($ofDay, array_sum(array_column($planned, 'minutes')), 1e-6);
        $this->actingAs($this->maker)->get('/')->assertOk()->assertSee('cut, ');
        app(Planning::class)->on($this->workshop(), '2026-11-30', 30);
        self::assertEqualsWithDelta(
            30.0, array_sum(array_column(PlannedToday::of($this->workshop()->refresh()), 'minutes')), 1e-6,
        );
        app(Planning::class)->reduce($want, 0);
        self::assertSame([], PlannedToday::of($this->workshop()->refresh()));
    }

    /** As slow as the hand is, and as it is guessed again as soon as its times are forgotten: in the same second. */
    public function test_the_day_on_the_bench_follows_what_was_timed(): void
    {
        $want = $this->want($this->market(), 1);
        $making = app(Bench::class)->begin($want->piece);
        app(Planning::class)->on($this->workshop(), '2026-11-30', 600);
        $today = fn (): float => array_sum(array_column(PlannedToday::of($this->workshop()->refresh()), 'minutes'));
        $guessed = $today();
        $plan = Planner::plan($want->piece->document(), $this->workshop()->profile());
        foreach ([...$plan->prepare(), ...$plan->steps()] as $step) {
            for ($time = 0; $time < 3; $time++) {
                StepTime::query()->create([
                    'workshop_id' => $this->workshop()->id, 'making_id' => $making->id, 'kind' => Minutes::kind($step),
                    'title' => 'x', 'estimate_ms' => 10_000, 'taken_ms' => 20_000,
                ]);
            }
        }
        $timed = $today();
        self::assertGreaterThan(1.2 * $guessed, $timed);
        $this->actingAs($this->maker)->put('/hand/learned', ['do' => 'forget', 'what' => 'pace'])->assertRedirect();
        self::assertEqualsWithDelta($guessed, $today(), 1e-6);
    }

    /** Whatever changes, in the same second: what is kept of the plan is what would be planned anew. */
    public function test_what_is_kept_of_a_plan_is_what_would_be_planned_anew(): void
    {
        $market = $this->market('2026-12-03');
        $want = $this->want($market, 6, '38.00');
        $piece = $want->piece;
        [$planning, $history] = [app(Planning::class), app(History::class)];
        $wraps = fn (int $many) => $history->change($piece->refresh(), $piece->revision, ChangeReader::read(
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => (string) $many],
        ));
        $making = null;
        foreach ([
            'as it is' => fn () => null,
            'more of it' => fn () => $planning->reduce($want, 9),
            'an hour more' => fn () => $planning->on($this->workshop(), '2026-12-01', 150),
            'another week' => fn () => $planning->week($this->workshop(), ['3', '0', '1', '1', '1', '4', '4']),
            'begun later' => fn () => $want->forceFill(['from_on' => '2026-12-01'])->save(),
            'due later' => fn () => $planning->plan(
                $this->workshop(), ['kind' => 'market', 'name' => 'Quay market', 'due' => '2026-12-08'], $market,
            ),
            'another order' => fn () => $this->want($this->market('2026-12-05'), 2),
            'four wraps' => fn () => $wraps(4),
            'undone, and five instead' => function () use ($wraps, $history, $piece): void {
                $history->undo($piece->refresh(), $piece->revision);
                $wraps(5);
            },
            'another name' => fn () => $piece->refresh()->forceFill(['name' => 'Other drops'])->save(),
            'begun' => function () use ($piece, &$making): void {
                $making = app(Bench::class)->begin($piece->refresh());
            },
            'some of it made' => function () use (&$making): void {
                $making?->forceFill(['step' => 9])->save();
            },
            'closed' => function () use (&$making): void {
                $making === null || app(CloseMaking::class)->close($making, $this->workshop(), ['as_it_is' => '1']);
            },
            'sold' => fn () => app(Box::class)->move(Finished::query()->firstOrFail(), Going::to(Place::Sold, 3800)),
            'deleted' => fn () => $piece->refresh()->delete(),
            'brought back' => fn () => $piece->refresh()->restore(),
        ] as $name => $change) {
            $change();
            $kept = $this->plannedNow();
            Cache::flush();
            self::assertEquals($this->plannedNow(), $kept, $name);
        }
    }

    /** @return array{mixed, mixed, mixed} for today, in all, and what would help */
    private function plannedNow(): array
    {
        $workshop = $this->workshop()->refresh();
        $workshop->settled();
        $wanted = new Wanted($workshop);

        return [PlannedToday::of($workshop), $wanted->plan(), $wanted->ways()];
    }

    /** As often as it fits by the pace of the plan, as far as the stock goes, and what that brings. */
    public function test_what_fits_in_a_day(): void
    {
        $this->piece();
        $desk = fn (int $minutes): FitsDesk => new FitsDesk(
            $this->workshop(), CarbonImmutable::parse('2026-12-05'), $minutes,
        );
        self::assertSame([], $desk(10)->fits);
        [$four, $eight] = [$desk(240)->fits[0], $desk(480)->fits[0]];
        self::assertGreaterThan($four['many'], $eight['many']);
        self::assertSame([0, true], [$four['stock'], $four['lacks'] !== '']);
        foreach (['half-hard', 'dead-soft'] as $temper) {
            foreach (['20 awg', '22 awg', '24 awg'] as $size) {
                app(Stockkeeping::class)->receive($this->workshop(), [
                    'kind' => 'coil', 'metal' => 'sterling', 'size' => $size, 'temper' => $temper, 'amount' => '20 m',
                ], LengthUnit::Millimetre);
            }
        }
        foreach ($this->piece()->document()->beads as $bead) {
            app(SupplyBook::class)->bead($this->workshop(), $bead, 6);
        }
        $fit = $desk(480)->fits[0];
        self::assertGreaterThan(0, $fit['stock']);
        self::assertLessThan($fit['many'], $fit['stock']);
        self::assertLessThanOrEqual(480.0, $fit['minutes']);
        $this->actingAs($this->maker)->get('/plan/fits?day=2026-12-05&time=8')
            ->assertOk()
            ->assertSee('What fits in 8 h')
            ->assertSee("{$fit['stock']} of {$fit['many']}");
        $this->get('/plan/fits')->assertOk()->assertSee('What fits in 4 h');
        $this->get('/plan/fits?day=2020-01-01')->assertStatus(422)->assertSee('has passed');
        $this->get('/plan/fits?time=long')->assertStatus(422)->assertSee('no time at the bench');
    }

    /** What was missed when beads were counted is bought with them. */
    public function test_spares_follow_what_was_missed_when_beads_were_counted(): void
    {
        $piece = $this->piece();
        $bead = array_values($piece->document()->beads)[0];
        $own = app(SupplyBook::class)->bead($this->workshop(), $bead, 400);
        app(CloseMaking::class)->close(app(Bench::class)->begin($piece), $this->workshop(), ['as_it_is' => '1']);
        $this->want($this->market(), 60);
        $spares = fn (): int => (new Wanted($this->workshop()))->needs()->beads[$bead->key()]['spares'];
        $before = $spares();
        app(SupplyBook::class)->correct($this->workshop(), $own->refresh(), $own->owned - 2);
        self::assertGreaterThan($before, $spares());
    }

    /** From a piece to its order in one form; what cannot be read leaves nothing behind. */
    public function test_an_order_is_taken_with_what_is_wanted(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/bill")->assertSee("/plan?piece={$piece->ulid}#new", false);
        $this->get("/plan?piece={$piece->ulid}")->assertOk()->assertSee('selected', false);
        $order = [
            'kind' => 'order', 'name' => 'Wilmot Tarr', 'due' => '2026-12-12', 'piece' => $piece->ulid, 'paid' => '10',
        ];
        $this->post('/occasions', [...$order, 'count' => 'many'])->assertStatus(422)->assertSee('many');
        self::assertSame(0, Occasion::query()->count());
        $this->post('/occasions', [...$order, 'count' => '2', 'price' => '38'])->assertRedirect('/plan');
        $want = Want::query()->sole();
        self::assertSame([2, 3800, 1000], [$want->count, $want->price_cents, $want->occasion->paid_cents]);
        $this->get('/plan')->assertSee('76.00 EUR, paid 10.00');
    }
}

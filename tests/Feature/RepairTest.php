<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Box;
use App\Actions\CloseMaking;
use App\Actions\Going;
use App\Actions\Planning;
use App\Actions\Repairing;
use App\Actions\Stockkeeping;
use App\Models\Finished;
use App\Models\Lot;
use App\Models\Movement;
use App\Models\Occasion;
use App\Models\Repair;
use App\Models\User;
use App\Read\PlannedToday;
use App\Read\Wanted;
use App\View\Market\YearMoney;
use Carbon\CarbonImmutable;
use Hebra\Core\Market\Place;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\Date;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Repairs and changes: taken in, planned for, done with what they took, given back. */
final class RepairTest extends TestCase
{
    private const TAKEN = [
        'who' => 'Wilmot Tarr', 'words' => 'a new hook', 'minutes' => '40', 'price' => '12.00',
        'name' => 'her grandmother’s bangle',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        // A Monday: an hour and a half at the bench.
        Date::setTestNow(CarbonImmutable::parse('2026-11-30 10:00'));
    }

    /** @param  array<string, string>  $but */
    private function take(array $but = []): Repair
    {
        return app(Repairing::class)->take(
            $this->workshop(), [...self::TAKEN, 'due' => now()->addDays(3)->format('Y-m-d'), ...$but],
        );
    }

    private function make(): Finished
    {
        $making = app(Bench::class)->begin($this->piece());
        app(CloseMaking::class)->close($making, $this->workshop(), ['as_it_is' => '1', 'minutes' => '60']);

        return Finished::query()->latest('id')->firstOrFail();
    }

    private function coil(): Lot
    {
        return app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'coil', 'metal' => 'sterling', 'size' => '20 awg', 'temper' => 'half-hard', 'amount' => '3 m',
        ], LengthUnit::Millimetre);
    }

    private function account(string $account): int
    {
        return (int) Movement::query()->where('workshop_id', $this->workshop()->id)->where('account', $account)
            ->sum('mass_mg');
    }

    public function test_a_repair_from_the_door_to_the_year(): void
    {
        $lot = $this->coil();
        $this->actingAs($this->maker)->post(
            '/repairs', [...self::TAKEN, 'due' => now()->addDays(3)->format('Y-m-d')],
        )->assertStatus(303);
        $repair = Repair::query()->sole();
        $this->get('/plan')->assertOk()->assertSee('her grandmother’s bangle')->assertSee('Wilmot Tarr');
        self::assertSame(40.0, (new Wanted($this->workshop()))->plan()->minutes);
        $today = PlannedToday::of($this->workshop());
        self::assertSame([['mend']], array_column($today, 'operations'));
        $this->get('/')->assertOk()->assertSee($today[0]['url'], false);
        $this->get("/repairs/{$repair->ulid}")->assertOk()->assertSee('A new hook')->assertSee('12.00 EUR');
        $this->get("/repairs/{$repair->ulid}/sheet")->assertOk()->assertSee('Repair, quote');
        $this->put("/repairs/{$repair->ulid}", [
            'took' => '55', 'got' => '15', 'lot' => $lot->ulid, 'amount' => '60 mm',
        ])->assertStatus(303);
        $mg = $lot->mgOf(60.0);
        self::assertSame([$mg, -$mg], [$this->account('customers'), $lot->refresh()->heldMg() - $lot->mgOf(3000.0)]);
        $this->get("/repairs/{$repair->ulid}/sheet")->assertSee('Repair, receipt')->assertSee('15.00 EUR');
        $money = new YearMoney($this->workshop(), now()->format('Y'));
        self::assertSame(['many' => 1, 'in' => 1500, 'minutes' => 55], $money->repairs);
        self::assertSame(1500, array_sum(array_column($money->months, 'in')));
        $this->get('/stock/months')->assertOk()->assertSee('Repairs and changes');
        self::assertSame([], (new Wanted($this->workshop()))->repairs);
        // Who it was for can be forgotten; what was done and paid stays.
        $this->delete("/repairs/{$repair->ulid}")->assertStatus(303);
        self::assertSame(0, Occasion::query()->count());
        self::assertNull($repair->refresh()->occasion_id);
        $this->get("/repairs/{$repair->ulid}")->assertOk()->assertDontSee('Wilmot Tarr');
    }

    public function test_a_sale_stands_while_its_piece_is_repaired_and_the_piece_goes_back(): void
    {
        $lot = $this->coil();
        $finished = $this->make();
        app(Box::class)->move($finished, Going::to(Place::Sold, 4100));
        $sold = $finished->refresh()->sold_at;
        $repair = $this->take(['number' => "no. {$finished->number}", 'name' => '']);
        self::assertSame(Place::Repair, $finished->refresh()->place);
        $in = fn (): int => array_sum(
            array_column((new YearMoney($this->workshop(), now()->format('Y')))->months, 'in')
        );
        self::assertSame(4100, $in());
        $before = $finished->massMg();
        app(Repairing::class)->done(
            $repair, ['got' => '0', 'lot' => $lot->ulid, 'amount' => '50 mm'], LengthUnit::Millimetre,
        );
        self::assertSame([Place::Sold, 4100], [$finished->refresh()->place, $finished->sold_cents]);
        self::assertEquals($sold, $finished->sold_at);
        self::assertSame($before + $lot->mgOf(50.0), $finished->massMg());
        self::assertSame([$finished->massMg(), 0], [$this->account('customers'), $this->account('pieces')]);
        self::assertSame(4100, $in());
    }

    public function test_one_of_the_box_comes_back_into_it_and_one_that_is_dropped_too(): void
    {
        $finished = $this->make();
        $repair = $this->take(['number' => (string) $finished->number]);
        app(Repairing::class)->drop($repair);
        self::assertSame([Place::Box, 0, 0], [
            $finished->refresh()->place, Repair::query()->count(), Occasion::query()->count(),
        ]);
        app(Repairing::class)->done($this->take(['number' => (string) $finished->number]), [], LengthUnit::Millimetre);
        self::assertSame(Place::Box, $finished->refresh()->place);
    }

    /** A day that has passed without it leaves it in the plan, due at once. */
    public function test_one_that_is_overdue_stays_in_the_plan(): void
    {
        $repair = $this->take(['due' => now()->format('Y-m-d')]);
        $this->actingAs($this->maker)->delete("/occasions/{$repair->occasion?->ulid}")->assertStatus(422)
            ->assertSee('still to be repaired');
        $this->travel(5)->days();
        $wanted = new Wanted($this->workshop());
        self::assertSame([$repair->id], array_map(fn ($one): int => $one->repair->id, $wanted->repairs));
        self::assertArrayHasKey("repair-{$repair->id}", $wanted->plan()->late);
        $this->actingAs($this->maker)->get('/plan')->assertOk()->assertSee('her grandmother’s bangle');
    }

    /** @return array<string, array{array<string, string>, string, string}> */
    public static function wrong(): array
    {
        return [
            'no piece' => [['name' => ''], 'name', 'give the number of one of yours'],
            'an unknown number' => [['number' => '77'], 'number', 'is no piece of the box'],
            'nothing to do' => [['words' => ' '], 'words', 'What is done to it'],
            'no time' => [['minutes' => '0'], 'minutes', '1 to 3000'],
            'a past day' => [['due' => '2020-01-01'], 'due', 'has passed'],
            'no price' => [['price' => 'much'], 'price', 'not an amount'],
            'nobody' => [['who' => ''], 'who', 'Its name holds 0 characters'],
        ];
    }

    /** @param  array<string, string>  $but */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_taken_in_is_said_and_nothing_is_kept(array $but, string $field, string $says): void
    {
        try {
            $this->take($but);
            self::fail('taken in');
        } catch (Problem $problem) {
            self::assertSame($field, $problem->field());
            self::assertStringContainsString($says, $problem->getMessage());
        }
        self::assertSame([0, 0], [Repair::query()->count(), Occasion::query()->count()]);
    }

    public function test_more_wire_than_there_is_and_a_second_time_change_nothing(): void
    {
        $lot = $this->coil();
        $repair = $this->take();
        $this->actingAs($this->maker)->put("/repairs/{$repair->ulid}", ['lot' => $lot->ulid, 'amount' => '5 m'])
            ->assertStatus(409)->assertSee($lot->name);
        self::assertNull($repair->refresh()->done_at);
        $this->put("/repairs/{$repair->ulid}", ['lot' => 'none', 'amount' => '5 mm'])->assertStatus(422);
        $this->put("/repairs/{$repair->ulid}", ['took' => 'long'])->assertStatus(422);
        self::assertSame(0, $this->account('customers'));
        $this->put("/repairs/{$repair->ulid}", [])->assertStatus(303);
        self::assertSame([40, 1200], [$repair->refresh()->took_minutes, $repair->got_cents]);
        $this->put("/repairs/{$repair->ulid}", [])->assertStatus(422)->assertSee('It is done since');
    }

    /** What a repair booked is no making: it is not reversed behind the piece’s back. */
    public function test_its_line_in_the_book_is_not_reversed(): void
    {
        $lot = $this->coil();
        $finished = $this->make();
        $repair = $this->take(['number' => (string) $finished->number]);
        app(Repairing::class)->done($repair, ['lot' => $lot->ulid, 'amount' => '50 mm'], LengthUnit::Millimetre);
        $entry = Movement::query()->where('words', 'like', 'repair of %')->value('entry');
        $this->actingAs($this->maker)->post('/stock/book/reverse', ['entry' => $entry])->assertStatus(422)
            ->assertSee('what went into it stays');
    }

    public function test_an_order_that_is_over_can_be_forgotten(): void
    {
        $occasion = app(Planning::class)->plan($this->workshop(), [
            'kind' => 'order', 'name' => 'Wilmot Tarr', 'due' => now()->format('Y-m-d'),
        ]);
        $this->travel(2)->days();
        $this->actingAs($this->maker)->get('/plan')->assertOk()->assertSee('What was')->assertSee('Wilmot Tarr');
        $this->delete("/occasions/{$occasion->ulid}")->assertRedirect('/plan');
        $this->get('/plan')->assertDontSee('Wilmot Tarr');
    }

    public function test_another_workshop_sees_nothing_of_it(): void
    {
        $repair = $this->take();
        $this->actingAs(User::factory()->create());
        foreach ([
            $this->get("/repairs/{$repair->ulid}"), $this->put("/repairs/{$repair->ulid}"),
            $this->delete("/repairs/{$repair->ulid}"), $this->get("/repairs/{$repair->ulid}/sheet"),
        ] as $answer) {
            self::assertContains($answer->getStatusCode(), [403, 404]);
        }
        self::assertNull($repair->refresh()->done_at);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\SupplyBook;
use App\Models\Bead;
use App\Models\Lot;
use Hebra\Core\Plan\Planner;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class StockTest extends TestCase
{
    private const COIL = [
        'kind' => 'coil',
        'metal' => 'sterling',
        'size' => '22 awg',
        'temper' => 'dead-soft',
        'amount' => '2 m',
        'price' => '18,50',
    ];

    /** @param  array<string, mixed>  $input */
    private function receive(array $input = []): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post('/stock', [...self::COIL, ...$input]);
    }

    public function test_a_coil_comes_in_by_length_or_by_weight(): void
    {
        $this->receive()->assertStatus(303);
        $this->receive(['amount' => '10 g'])->assertStatus(303);
        [$long, $heavy] = Lot::query()->orderBy('id')->get()->all();
        self::assertEqualsWithDelta(2000, $long->heldMm(), 0.2);
        self::assertSame(1850, $long->price_cents);
        // 22 AWG is 0.6438 mm: 10 g at 10.36 g/cm³ is 2965 mm.
        self::assertEqualsWithDelta(2965, $heavy->heldMm(), 2);
        $this->get('/stock')->assertOk()->assertSee('Coil 1')->assertSee('Coil 2')->assertSee('2000 mm');
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badStock(): array
    {
        return [
            'no amount' => [['amount' => ''], 'Amount is empty'],
            'nothing' => [['amount' => '0'], 'Amount 0 mm is not a size'],
            'negative' => [['amount' => '-3 m'], 'Amount −3000 mm is not a size'],
            'negative weight' => [['amount' => '-3 g'], 'Amount −3 g is not a size'],
            'without end' => [['amount' => '1e309'], 'Amount “1e309” is not a length'],
            'a word' => [['amount' => 'banana'], 'Amount “banana” is not a length'],
            'a whole size' => [['size' => '22'], 'Size “22” could be 22awg, 22swg or 22mm'],
            'an unknown metal' => [['metal' => 'tin'], 'Metal “tin” is not known here'],
            'an unknown temper' => [['temper' => 'angry'], 'Temper “angry” is not known here'],
            'a price in words' => [['price' => 'cheap'], 'Price “cheap” is not an amount'],
            'a list' => [['size' => ['22']], 'Size came as a list: give one value.'],
            'pins without length' => [['kind' => 'pins', 'pins' => '5'], 'Pin length is empty'],
            'pins without number' => [['kind' => 'pins', 'pin_length' => '50'], 'Pins is empty'],
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('badStock')]
    public function test_bad_stock_is_refused_in_its_place(array $input, string $sentence): void
    {
        $response = $this->receive($input)->assertStatus(422);
        self::assertSame(1, substr_count(html_entity_decode((string) $response->getContent()), $sentence));
        self::assertSame([0, 0], [Lot::query()->count(), DB::table('movements')->count()]);
    }

    public function test_a_correction_is_one_line_more(): void
    {
        $this->receive();
        $lot = Lot::query()->sole();
        $this->put("/lots/{$lot->ulid}", ['holds' => '2.5 m'])->assertStatus(303);
        self::assertEqualsWithDelta(2500, $lot->heldMm(), 0.2);
        $this->put("/lots/{$lot->ulid}", ['holds' => '0'])->assertStatus(303);
        self::assertSame(0, $lot->heldMg());
        self::assertSame(6, DB::table('movements')->count());
        $this->put("/lots/{$lot->ulid}", ['holds' => 'lots'])->assertStatus(422)->assertSee('is not a length');
    }

    public function test_the_database_itself_keeps_the_lines(): void
    {
        $this->receive();
        $lines = DB::table('movements')->get()->toJson();
        foreach ([
            'a line of the metal book is never changed' => fn () => DB::table('movements')->update(['mass_mg' => 1]),
            'a line of the metal book is never deleted' => fn () => DB::table('movements')->delete(),
            'a lot cannot hold less than nothing' => fn () => DB::table('movements')->insert(
                [
                    'workshop_id' => 1, 'entry' => 'x', 'kind' => 'made', 'account' => 'lot',
                    'lot_id' => Lot::query()->value('id'), 'metal' => 'sterling', 'mass_mg' => -99_999_999,
                    'words' => 'x', 'created_at' => '2026-01-01',
                ],
            ),
            'CHECK constraint failed' => fn () => DB::table('movements')->insert(
                [
                    'workshop_id' => 1, 'entry' => 'x', 'kind' => 'made', 'account' => 'lot', 'metal' => 'sterling',
                    'mass_mg' => 5, 'words' => 'x', 'created_at' => '2026-01-01',
                ],
            ),
        ] as $why => $attempt) {
            try {
                DB::transaction($attempt);
                self::fail('It was allowed: '.$why);
            } catch (QueryException $refusal) {
                self::assertStringContainsString($why, $refusal->getMessage());
            }
        }
        try {
            DB::transaction(fn () => Lot::query()->sole()->delete());
            self::fail('A lot with lines was deleted.');
        } catch (QueryException $refusal) {
            self::assertStringContainsString('never deleted', $refusal->getMessage());
        }
        self::assertSame($lines, DB::table('movements')->get()->toJson());
    }

    public function test_an_entry_is_reversed_once_and_only_while_its_metal_is_there(): void
    {
        $this->receive();
        $entry = (string) DB::table('movements')->value('entry');
        $this->post('/stock/book/reverse', ['entry' => $entry])->assertRedirect('/stock/book');
        self::assertSame(0, Lot::query()->sole()->heldMg());
        $this->post('/stock/book/reverse', ['entry' => $entry])->assertStatus(409)->assertSee('already reversed');
        $this->receive(['name' => 'Spent']);
        $spent = Lot::query()->where('name', 'Spent')->sole();
        $received = (string) $spent->movements()->value('entry');
        $this->put("/lots/{$spent->ulid}", ['holds' => '1 m']);
        $this->post(
            '/stock/book/reverse',
            ['entry' => $received],
        )->assertStatus(409)->assertSee('would leave Spent with less than nothing');
        $this->post('/stock/book/reverse', ['entry' => 'nothing'])->assertNotFound();
        $this->get('/stock/book')->assertOk()->assertSee('reversed: received');
    }

    public function test_beads_go_into_the_tray_are_counted_and_taken_out(): void
    {
        $this->actingAs($this->maker)->post(
            '/beads',
            ['bead' => 'Reed: 4x12mm tube, hole 0.8', 'owned' => '12'],
        )->assertStatus(303);
        $bead = Bead::query()->sole();
        self::assertSame(['Reed', 12], [$bead->name, $bead->owned]);
        $this->put("/beads/{$bead->ulid}", ['owned' => '7'])->assertStatus(303);
        $this->put("/beads/{$bead->ulid}", ['owned' => '-7'])->assertStatus(422)->assertSee('Owned −7 is out of range');
        self::assertSame(7, $bead->refresh()->owned);
        $piece = $this->piece();
        $this->get("/pieces/{$piece->ulid}/lay-out")->assertSee('Reed');
        $this->delete("/beads/{$bead->ulid}")->assertStatus(303);
        $this->post('/beads', ['bead' => 'nonsense'])->assertStatus(422)->assertSee('is not a bead I can read');
        self::assertSame(0, Bead::query()->count());
    }

    public function test_lay_ready_says_owned_short_or_to_buy(): void
    {
        $this->receive(['amount' => '100 mm']);
        $this->post('/beads', ['bead' => '8mm round, hole 1, moss', 'owned' => '3']);
        $piece = $this->piece();
        $pair = $this->get("/pieces/{$piece->ulid}/lay-ready")->assertOk();
        $pair->assertSee('short by')->assertSee('to buy')->assertSee('owned');
        $this->get("/pieces/{$piece->ulid}/lay-ready?for=6")->assertSee('all 6')->assertSee('short by 3');
        $this->get(
            "/pieces/{$piece->ulid}/lay-ready?for=0",
        )->assertOk()->assertSee('For 0 is out of range: give 1 to 200.');
    }

    public function test_migrations_go_down_and_up_again(): void
    {
        $this->artisan('migrate:rollback')->assertExitCode(0);
        self::assertSame(
            [],
            array_values(
                array_diff(
                    DB::getSchemaBuilder()->getTableListing(schemaQualified: false),
                    ['migrations', 'sqlite_sequence'],
                ),
            ),
        );
        $this->artisan('migrate')->assertExitCode(0);
        self::assertContains('movements', DB::getSchemaBuilder()->getTableListing(schemaQualified: false));
    }

    /**
     * Craft wire sold as 20 AWG that measures 0.79 mm: a metre of it weighs by what it measures, and its offcuts too.
     */
    public function test_a_lot_may_carry_what_it_measures(): void
    {
        $this->actingAs($this->maker)->post(
            '/stock',
            [
                'kind' => 'coil', 'metal' => 'copper', 'size' => '20awg', 'measured' => '0.79 mm',
                'temper' => 'dead-soft', 'amount' => '1 m',
            ],
        )->assertRedirect();
        $lot = Lot::query()->sole();
        self::assertSame(790, $lot->measured_um);
        self::assertSame((int) round(M_PI * 0.79 ** 2 / 4 * 8.96 * 1000), $lot->heldMg());
        self::assertEqualsWithDelta(1000, $lot->heldMm(), 0.2);
        $this->get('/stock')->assertSee('copper 20 AWG, dead soft, measures 0.79 mm');
        $this->post(
            '/stock',
            [
                'kind' => 'coil', 'metal' => 'copper', 'size' => '20awg', 'measured' => '90 mm',
                'temper' => 'dead-soft', 'amount' => '1 m',
            ],
        )->assertStatus(422)->assertSee('Measured 90 mm is out of range: give 0.05 mm to 8.3 mm.');
        self::assertSame(1, Lot::query()->count());
    }

    /**
     * Put on the scale in its bag, a lot is weighed once the tare is off and it stands still; the book has a correcting
     * line.
     */
    public function test_a_lot_is_set_right_by_weighing(): void
    {
        $this->receive(['amount' => '10 g', 'name' => 'On the scale'])->assertStatus(303);
        $lot = Lot::query()->firstOrFail();
        $this->get(
            "/lots/{$lot->ulid}/scale",
        )->assertOk()->assertSee('The book says')->assertSee('this one is simulated');
        $this->put("/lots/{$lot->ulid}/scale")->assertStatus(422)->assertSee('has not come to rest');
        self::assertSame(10_000, $lot->refresh()->heldMg());
        $settled = fn (int $tare) => session()->put(
            'scale.'.$lot->ulid,
            ['from' => microtime(true) - 5.0 - (45 - (5 + crc32($lot->ulid) % 40) % 45 < 3 ? 6 : 0), 'tare' => $tare],
        );
        $settled(0);
        $this->get("/lots/{$lot->ulid}/scale/live")->assertOk()->assertSee('It stands still');
        $this->post("/lots/{$lot->ulid}/scale/tare")->assertRedirect("/lots/{$lot->ulid}/scale");
        self::assertSame(1240, session('scale.'.$lot->ulid)['tare']);
        $settled(1240);
        $this->put("/lots/{$lot->ulid}/scale")->assertStatus(303);
        self::assertEqualsWithDelta(10_000, $lot->refresh()->heldMg(), 60);
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
    }

    /**
     * 2 m of 22 AWG sterling came in, a pair was made of it; the table adds up to what the book says, and another year
     * is empty.
     */
    public function test_metal_is_told_month_by_month(): void
    {
        $this->receive(['name' => 'For the year'])->assertStatus(303);
        $lot = Lot::query()->firstOrFail();
        $making = app(\App\Actions\Bench::class)->begin($this->piece('link-and-drop'));
        $this->put("/makings/{$making->ulid}", ['as_it_is' => '1', 'lot' => ['p2' => $lot->ulid]])->assertStatus(303);
        $desk = new \App\View\MonthsDesk($this->workshop(), now()->format('Y'));
        $month = $desk->months[now()->format('Y-m')]['sterling'];
        self::assertEqualsWithDelta(2000 * 0.32553 * 10.36, $month['received'], 4);
        $held = Lot::query()->withHeld()->get()->sum(fn (Lot $one): int => $one->heldMg());
        self::assertSame(
            $month['received'] + $month['found'],
            $month['pieces'] + $month['scrap'] + $held,
            'what came in is in pieces, jar and lots',
        );
        $this->get('/stock/months')->assertOk()->assertSee('Sterling silver')->assertSee('Test drops')->assertSee(
            number_format($month['pieces'] / 1000, 2),
        );
        $this->get('/stock/months?year=1999')->assertOk()->assertSee('Nothing was booked in 1999');
        $this->get('/stock/months?year=<b>')->assertOk();
    }

    /**
     * 180 mm of 22 AWG are enough for the two links of a pair, twice 80.5 and a trim between, and not for a linked
     * bracelet.
     */
    public function test_a_lot_says_what_it_is_enough_for(): void
    {
        $this->piece('link-and-drop');
        $this->receive(['kind' => 'offcut', 'amount' => '180 mm', 'name' => 'Tail'])->assertStatus(303);
        $lot = Lot::query()->firstOrFail();
        $this->get("/lots/{$lot->ulid}/ideas")->assertOk()
            ->assertSee('Test drops, a pair')
            ->assertSee('163 mm of it')
            ->assertSee('value="link-and-drop"', false)
            ->assertDontSee(
                'value="linked-bracelet"',
                false,
            );
        $this->receive(['kind' => 'offcut', 'amount' => '20 mm', 'name' => 'Stub'])->assertStatus(303);
        $this->get(
            '/lots/'.Lot::query()->where('name', 'Stub')->firstOrFail()->ulid.'/ideas',
        )->assertOk()->assertSee('It is enough for nothing');
    }

    /**
     * A pair of drops takes two pins, so five do for it twice; a pair takes two of its bead, one fewer is enough for
     * nothing.
     */
    public function test_pins_and_beads_say_what_they_are_enough_for(): void
    {
        $piece = $this->piece('link-and-drop');
        $plan = Planner::plan($piece->document(), $this->workshop()->profile());
        $drop = $plan->cuts[2];
        $this->receive(
            [
                'kind' => 'pins', 'size' => '24 awg', 'amount' => '', 'pins' => '5',
                'pin_length' => ceil($drop->lengthMm()).' mm', 'name' => 'Pins',
            ],
        )->assertStatus(303);
        $this->get(
            '/lots/'.Lot::query()->sole()->ulid.'/ideas',
        )->assertOk()->assertSee('5 pins')->assertSee('Test drops, a pair')->assertSee('2 of them, 2 times');
        $count = $plan->beads[0];
        $enough = app(SupplyBook::class)->bead($this->workshop(), $count->bead, $count->all);
        $this->get(
            "/beads/{$enough->ulid}/ideas",
        )->assertOk()->assertSee('Test drops, a pair')->assertSee("{$count->all} of them");
        app(SupplyBook::class)->correct($this->workshop(), $enough, $count->all - 1);
        $this->get("/beads/{$enough->ulid}/ideas")->assertOk()->assertDontSee('Test drops, a pair');
    }
}

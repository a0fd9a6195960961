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
use App\Models\Supply;
use App\Models\SupplyMovement;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Findings, chain, packing and beads: received, used, counted again, reversed, and never edited. */
final class SupplyTest extends TestCase
{
    /** @param  array<string, string>  $input */
    private function receive(array $input): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post(
            '/supplies',
            ['supply_kind' => 'finding', 'supply' => 'Ear back', 'supply_amount' => '10', ...$input],
        );
    }

    public function test_more_of_the_same_adds_up(): void
    {
        $this->receive(['supply_price' => '0.12', 'supply_low' => '8'])->assertRedirect('/stock?as=rows#supplies');
        $this->receive(['supply_amount' => '5'])->assertStatus(303);
        $supply = Supply::query()->sole();
        self::assertSame([15, 1200, 8], [$supply->held, $supply->price_e4, $supply->low_at]);
        self::assertSame(2, SupplyMovement::query()->where('kind', 'received')->count());
        $this->put(
            "/supplies/{$supply->ulid}",
            ['held' => '7', 'price' => '0.15', 'low' => '8'],
        )->assertRedirect('/stock?as=rows#supplies');
        self::assertSame([7, 1500], [$supply->refresh()->held, $supply->price_e4]);
        $this->get('/stock?as=rows')->assertOk()->assertSee('Running low')->assertSee('Ear back (7)');
        $this->get('/stock')->assertOk()->assertSeeInOrder(['Ear back', '▲', 'running low:', '7']);
        $this->delete("/supplies/{$supply->ulid}")->assertStatus(303);
        $this->get('/stock')->assertDontSee('Ear back (7)');
        self::assertSame(3, SupplyMovement::query()->count(), 'its lines stay');
        $this->get('/stock/book')->assertOk()->assertSee('Ear back: fewer than booked');
    }

    public function test_chain_is_kept_by_length_and_priced_by_the_metre(): void
    {
        $this->receive(
            [
                'supply_kind' => 'chain', 'supply' => 'chain of 3 × 2 mm links', 'supply_amount' => '2 m',
                'supply_price' => '9.50',
            ],
        )->assertStatus(303);
        self::assertSame(2_000_000, Supply::query()->sole()->held);
        $this->get('/stock?as=rows')->assertSeeInOrder(['Chain of 3 × 2 mm links', '>a metre<'], false);
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function wrong(): array
    {
        return [
            'no name' => [['supply' => ' '], 'Name is empty'],
            'no number' => [['supply_amount' => 'some'], 'Amount “some”'],
            'a length of findings' => [['supply_amount' => '2 m'], 'Amount “2 m”'],
            'less than nothing' => [['supply_amount' => '-4'], 'Amount −4 is out of range'],
            'no kind' => [['supply_kind' => 'hats'], 'Kind “hats”'],
            'price' => [['supply_price' => 'dear'], 'Price “dear”'],
        ];
    }

    /** @param  array<string, string>  $input */
    #[DataProvider('wrong')]
    public function test_bad_input_is_refused_and_nothing_comes_in(array $input, string $sentence): void
    {
        $this->receive($input)->assertStatus(422)->assertSee($sentence);
        self::assertSame(0, Supply::query()->count() + SupplyMovement::query()->count());
    }

    public function test_what_pieces_call_their_findings_is_offered_as_names(): void
    {
        $this->actingAs($this->maker)->get('/supplies/names')->assertOk()->assertContent('');
        $this->piece('post-drop');
        $this->piece('post-drop');
        $this->get('/supplies/names')->assertContent('<option value="ear back"></option>');
    }

    public function test_a_name_is_of_one_kind(): void
    {
        $this->receive([])->assertStatus(303);
        $this->receive(['supply_kind' => 'packing'])->assertStatus(422)->assertSee('already kept as finding');
    }

    public function test_the_database_itself_keeps_the_lines_and_the_count(): void
    {
        $this->receive([])->assertStatus(303);
        $supply = Supply::query()->sole();
        $line = [
            'workshop_id' => $this->workshop()->id,
            'entry' => 'x',
            'kind' => 'used',
            'supply_id' => $supply->id,
            'words' => 'x',
            'created_at' => now(),
        ];
        foreach ([
            'less than nothing' => fn () => DB::table('supply_movements')->insert(['amount' => -11] + $line),
            'never changed' => fn () => DB::table('supply_movements')->update(['amount' => 3]),
            'never deleted' => fn () => DB::table('supply_movements')->delete(),
        ] as $why => $do) {
            try {
                $do();
                self::fail("{$why} was let through");
            } catch (QueryException $fault) {
                self::assertStringContainsString($why, $fault->getMessage());
            }
        }
        self::assertSame(10, $supply->refresh()->held);
    }

    /**
     * A making of posts takes two backs and its beads; reversing its metal brings them back; packing goes as it is
     * said.
     */
    public function test_a_making_takes_what_it_uses_and_a_reversal_brings_it_back(): void
    {
        $this->receive([])->assertStatus(303);
        $this->receive(
            ['supply_kind' => 'packing', 'supply' => 'Card and box', 'supply_amount' => '3'],
        )->assertStatus(303);
        $piece = $this->piece('post-drop');
        $bead = app(SupplyBook::class)->bead(
            $this->workshop(),
            Planner::plan($piece->document(), $this->workshop()->profile())->beads[0]->bead,
            30,
        );
        [$back, $box] = Supply::query()->orderBy('id')->get()->all();
        $making = app(Bench::class)->begin($piece);
        $this->get("/pieces/{$piece->ulid}/log")->assertOk()->assertSee('Card and box, 3 there');
        $this->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'packing' => $box->ulid, 'packed' => '4'],
        )->assertStatus(422)->assertSee('give at most that');
        self::assertSame(10, $back->refresh()->held, 'nothing moved');
        $this->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'packing' => $box->ulid, 'packed' => '2'],
        )->assertStatus(303);
        self::assertSame([8, 1], [$back->refresh()->held, $box->refresh()->held]);
        $taken = 30 - $bead->refresh()->owned;
        self::assertGreaterThan(0, $taken);
        $this->get("/pieces/{$piece->ulid}/log")->assertSee('Card and box for Test drops');
        $this->post(
            '/stock/book/reverse',
            ['entry' => Movement::query()->where('making_id', $making->id)->value('entry')],
        )->assertStatus(303);
        self::assertSame([10, 3, 30], [$back->refresh()->held, $box->refresh()->held, $bead->refresh()->owned]);
    }

    public function test_beads_and_findings_alone_are_reversed_too(): void
    {
        $this->receive([])->assertStatus(303);
        $entry = (string) SupplyMovement::query()->value('entry');
        $this->post('/stock/book/reverse', ['entry' => $entry])->assertStatus(303);
        self::assertSame(0, Supply::query()->sole()->held);
        $this->post('/stock/book/reverse', ['entry' => $entry])->assertStatus(409)->assertSee('already reversed');
        $this->post('/stock/book/reverse', ['entry' => 'none'])->assertNotFound();
        $this->receive([])->assertStatus(303);
        $supply = Supply::query()->sole();
        $this->put("/supplies/{$supply->ulid}", ['held' => '2'])->assertStatus(303);
        $this->post(
            '/stock/book/reverse',
            ['entry' => SupplyMovement::query()->where('kind', 'received')->latest('id')->value('entry')],
        )->assertStatus(409)->assertSee('with less than nothing');
    }

    /**
     * Whatever is done, in whatever order: what came in is in lots, pieces, scrap or losses, to the milligram, and no
     * count is below nothing. 120 seeded operations: receive, correct, tick, spoil, begin, close, reverse, weigh, from
     * bad input too.
     */
    public function test_metal_is_conserved_over_any_sequence(): void
    {
        mt_srand(2611);
        $this->actingAs($this->maker);
        $pieces = [$this->piece('link-and-drop'), $this->piece('single-drop'), $this->piece('post-drop')];
        app(SupplyBook::class)->bead($this->workshop(), CoreBead::parse('8mm round, hole 1, moss'), 50);
        $this->receive([]);
        $done = ['closed' => 0, 'refused' => 0, 'reversed' => 0];
        for ($turn = 0; $turn < 120; $turn++) {
            /** @var list<Lot> $lots */
            $lots = $this->workshop()->lots()->withHeld()->get()->all();
            $lot = $lots === [] ? null : $lots[mt_rand(0, count($lots) - 1)];
            $piece = $pieces[mt_rand(0, 2)];
            $what = $lot === null ? 0 : mt_rand(0, 8);
            $response = match (true) {
                $what <= 1 => $this->post(
                    '/stock',
                    [
                        'kind' => 'coil', 'metal' => 'sterling', 'size' => ['20awg', '22awg', '24awg'][mt_rand(0, 2)],
                        'temper' => mt_rand(0, 2) === 0 ? 'half-hard' : 'dead-soft',
                        'amount' => mt_rand(-100, 900).' mm',
                    ],
                ),
                $what === 2 => $this->put("/lots/{$lot?->ulid}", ['holds' => mt_rand(0, 500).' mm']),
                $what === 3 => $this->post(
                    "/cutting/ticks?pieces[]={$piece->ulid}",
                    [
                        'piece' => $piece->ulid, 'lot' => $lot?->ulid, 'cut' => 'p2', 'count' => mt_rand(1, 2),
                        'do' => mt_rand(0, 2) === 0 ? 'spoiled' : 'cut',
                    ],
                ),
                $what === 4 => $this->post("/cutting/reservations?pieces[]={$piece->ulid}"),
                $what === 5 => $this->post(
                    '/stock/book/reverse',
                    ['entry' => Movement::query()->orderBy('id')->skip(mt_rand(0, Movement::query()->count() - 1))->value('entry')],
                ),
                default => $this->put(
                    '/makings/'.app(Bench::class)->begin($piece)->ulid,
                    [
                        'as_it_is' => '1',
                        'lot' => ['p1' => mt_rand(0, 1) === 0 ? '' : $lot?->ulid, 'p2' => $lot?->ulid],
                        'cut' => ['p2' => (string) mt_rand(60, 140)], 'left' => ['p2' => (string) mt_rand(0, 60)],
                        'before' => [(string) $lot?->ulid => mt_rand(0, 3) === 0 ? (mt_rand(0, 3000) / 1000).' g' : ''],
                    ],
                ),
            };
            self::assertLessThan(
                500,
                $response->status(),
                "turn {$turn}, {$what}: ".$response->exception?->getMessage(),
            );
            $done['closed'] += $what > 5 && $response->status() < 400 ? 1 : 0;
            $done['refused'] += $response->status() >= 400 ? 1 : 0;
            $done['reversed'] += $what === 5 && $response->status() < 400 ? 1 : 0;
            $of = fn (string ...$accounts): int => (int) DB::table('movements')->whereIn(
                'account',
                $accounts,
            )->sum('mass_mg');
            self::assertSame(
                -$of('supplier', 'found', 'not booked'),
                $of('lot', 'pieces', 'scrap jar'),
                "turn {$turn}",
            );
            self::assertSame(
                0,
                DB::table('movements')->whereNotNull('lot_id')->groupBy('lot_id')->havingRaw(
                    'SUM(mass_mg) < 0',
                )->selectRaw('lot_id')->get()->count(),
                "turn {$turn}",
            );
        }
        foreach ($done as $what => $count) {
            self::assertGreaterThan(5, $count, $what);
        }
        self::assertSame(
            (int) SupplyMovement::query()->whereNotNull('bead_id')->sum('amount'),
            Bead::query()->sole()->owned,
        );
        self::assertGreaterThan(5, Making::query()->whereNotNull('closed_at')->count());
    }

    public function test_movements_come_from_a_table_all_or_none(): void
    {
        $lot = app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'name' => 'Long coil', 'metal' => 'copper', 'size' => '20awg',
                'temper' => 'dead-soft', 'amount' => '2 m',
            ],
            LengthUnit::Millimetre,
        );
        $this->actingAs($this->maker)->get(
            '/stock/import?of=movements',
        )->assertOk()->assertSee('Movements from a table');
        $bad = "lot;amount;reason\nLong coil;-0,5 m;class\nNo coil;1 m;x\nLong coil;-9 m;too much\nLong coil;lots;x";
        $this->post(
            '/stock/import?of=movements',
            ['text' => $bad],
        )->assertOk()->assertSee('Line 3: Lot “No coil” is not in stock')
            ->assertSee('Line 4: Long coil holds')
            ->assertSee('Line 5: Amount “lots”');
        $this->post('/stock/import?of=movements', ['text' => $bad, 'do' => 'take'])->assertStatus(422);
        self::assertEqualsWithDelta(2000, $lot->refresh()->heldMm(), 0.2);
        $this->post(
            '/stock/import?of=movements',
            ['text' => "lot;amount;reason\nLong coil;-0,5 m;class\nLong coil;+20 cm;came back", 'do' => 'take'],
        )->assertRedirect('/stock/book');
        self::assertEqualsWithDelta(1700, $lot->refresh()->heldMm(), 0.5);
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        $this->get('/stock/book')->assertSee('came back');
    }

    public function test_what_is_received_must_be_readable(): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessage('Low “few”');
        app(SupplyBook::class)->receive(
            $this->workshop(),
            ['kind' => 'rings', 'name' => 'Rings', 'amount' => '4', 'low' => 'few'],
            $this->workshop()->profile(),
        );
    }
}

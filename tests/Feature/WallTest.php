<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Supply;
use App\Read\Period;
use App\View\MonthsDesk;
use App\View\Stock\BookFlow;
use App\View\Stock\BookLines;
use App\View\Stock\BookMonths;
use App\View\Stock\CoilDrawing;
use App\View\Stock\Heap;
use App\View\Stock\LotStory;
use App\View\Stock\Peg;
use App\View\Stock\StockWall;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Wire\Metal;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The stock as a wall: one typed line takes in and finds, coils and heaps are drawn as large as they are. */
final class WallTest extends TestCase
{
    private function line(string $line): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post('/stock/line', ['line' => $line]);
    }

    private function wall(string $line = '', string $open = ''): StockWall
    {
        return new StockWall($this->maker->workshop, $line, $open);
    }

    public function test_a_coil_is_taken_in_by_a_line_and_opens(): void
    {
        $answer = $this->line('5 m 22 awg copper soft 6.20');
        $lot = Lot::query()->sole();
        $answer->assertRedirect('/stock?lot='.$lot->ulid);
        self::assertSame(['coil', 'copper', '22 awg', 'dead-soft', 620], [
            $lot->kind, $lot->metal, $lot->size, $lot->temper, $lot->price_cents,
        ]);
        self::assertEqualsWithDelta(5000, $lot->heldMm(), 0.5);
        $this->get('/stock?lot='.$lot->ulid)->assertSeeInOrder(['bought, 6.20', '+5000', 'is there', '5000']);
    }

    public function test_pins_beads_and_supplies_come_in_by_a_line(): void
    {
        $this->line('20 head pins 50 mm 24 sterling 9.80')->assertStatus(303);
        self::assertSame(20, Lot::query()->sole()->heldPins());
        $this->line('40 8mm round, hole 1, slate')->assertRedirect('/stock#beads');
        self::assertSame([40, 'slate'], [Bead::query()->sole()->owned, Bead::query()->sole()->colour]);
        $this->line('30 Ear back, finding 0.12')->assertRedirect('/stock#jars');
        $this->line('20 ear backs')->assertStatus(303);
        self::assertSame([50, 1200], [Supply::query()->sole()->held, Supply::query()->sole()->price_e4]);
        $this->line('2 m cable chain, chain')->assertStatus(303);
        self::assertSame(2_000_000, Supply::query()->where('kind', 'chain')->sole()->held);
    }

    /** @return array<string, array{string, string}> */
    public static function refused(): array
    {
        return [
            'of which metal' => ['5 m 22', 'give the metal with it'],
            'no such size' => ['5 m 99 awg copper', 'Size 99 AWG is out of range'],
            'nothing of it' => ['0 m 22 awg copper', 'Amount 0 mm is not a size'],
            'nothing' => ['', 'Line is empty'],
            'a letter' => [str_repeat('copper ', 20), 'Line holds 139 characters'],
        ];
    }

    #[DataProvider('refused')]
    public function test_a_line_that_cannot_be_taken_in_says_why_and_stays(string $line, string $says): void
    {
        $answer = $this->line($line)->assertStatus(422)->assertSee($says);
        if ($line !== '' && strlen($line) < 80) {
            $answer->assertSee('value="'.$line.'"', false);
        }
        self::assertSame(0, Lot::query()->count() + DB::table('movements')->count());
    }

    public function test_a_line_without_an_amount_finds(): void
    {
        foreach (['5 m 22 sterling', '3 m 24 sterling half hard', '4 m 22 copper'] as $line) {
            $this->line($line)->assertStatus(303);
        }
        $this->line('22 sterling')->assertRedirect('/stock?line=22+sterling');
        $found = fn (string $line): array => ($wall = $this->wall($line))->lots->filter($wall->isFoundLot(...))
            ->map(fn (Lot $lot): string => "{$lot->size} {$lot->metal}")->values()->all();
        self::assertSame(['22 awg sterling'], $found('22 sterling'));
        self::assertSame(['22 awg sterling', '22 awg copper'], $found('22 awg'));
        self::assertSame(['24 awg sterling'], $found('half hard'));
        self::assertSame(['22 awg copper'], $found('coil 3'));
        self::assertSame([], $found('no such thing'));
        self::assertStringContainsString('1 lot, 5.00 m', $this->wall('22 sterling')->hint());
        $this->get('/stock?as=rows&line=22+copper')->assertSee('Coil 3')->assertDontSee('Coil 1');
    }

    public function test_what_comes_in_is_shown_where_it_will_hang_and_nothing_is_written(): void
    {
        $this->actingAs($this->maker)->get('/stock?line=5+m+26+awg+brass+4.10')->assertOk()
            // 26 AWG is 0.405 mm [published: ASTM B258]: π · 0.405² / 4 · 5000 mm · 8.53 mg/mm³ is 5.49 g, in
            // whole milligrams a half millimetre less.
            ->assertSee(
                'A new coil, hung at yellow brass 26 AWG: 4999.5 mm, 5.49 g, 0.82 a metre'
            )->assertSee('is-ghost');
        self::assertSame(0, Lot::query()->count());
    }

    /** Every lot that holds something is seen once: on its peg, on the ruler, in its cup, or counted as one more. */
    public function test_everything_is_seen_or_counted(): void
    {
        foreach (range(1, 7) as $at) {
            $this->line("{$at} m 22 sterling");
            $this->line("offcut {$at}0 mm 0.9 mm copper");
            $this->line("{$at} m 3 x 0.5 mm brass");
        }
        $wall = $this->wall();
        $seen = 0;
        foreach ($wall->rows() as $row) {
            foreach ($row['cells'] as $cell) {
                $seen += count($cell['pegs']) + $cell['more'];
            }
        }
        [$offcuts, $more] = $wall->offcuts();
        self::assertSame(21, $seen + count($offcuts) + $more);
        self::assertSame([Metal::Sterling, Metal::Copper, Metal::Brass], array_column($wall->rows(), 'metal'));
    }

    public function test_hundreds_fold_and_are_found(): void
    {
        foreach (range(1, 205) as $at) {
            Bead::query()->create([...Bead::columns(CoreBead::parse(
                "Bead {$at}: 6mm round, hole 1, ".($at === 3 ? 'plum' : 'slate'),
            )), 'workshop_id' => $this->maker->workshop->id]);
        }
        $this->actingAs($this->maker)->get('/stock?as=rows')->assertSee('and 5 more')->assertSee('Bead 205')
            ->assertDontSee('Bead 3<', false);
        $this->get('/stock?as=rows&line=plum')->assertSee('Bead 3')->assertDontSee('Bead 205');
        $this->get('/stock')->assertSee('and 189 more');
        $this->get('/stock?line=plum')->assertSeeInOrder(['1 beside wire', 'Bead 3']);
    }

    /** What the lines of a lot's story add up to is what it holds, also where old lines are told as one. */
    public function test_a_story_adds_up(): void
    {
        $this->line('5 m 22 sterling');
        $lot = Lot::query()->sole();
        foreach (range(1, 12) as $cut) {
            app(Stockkeeping::class)->adjust($lot, $this->maker->workshop, -3 * $cut);
        }
        $lot = Lot::query()->withHeld()->sole();
        $story = new LotStory(new Peg($lot, 0.0, false, true, true), null, $this->maker->workshop->profile());
        self::assertCount(8, $story->lines);
        self::assertEqualsWithDelta($lot->heldMm(), array_sum(array_column($story->lines, 'mm')), 1e-6);
        self::assertEqualsWithDelta(100.0, array_sum($story->shares()), 0.02);
    }

    /** A coil of half the wire covers half the ring it covered whole; thicker wire makes fewer turns. */
    public function test_a_coil_is_wound_to_what_is_left(): void
    {
        $this->line('10 m 24 sterling');
        $this->line('10 m 18 sterling');
        [$thin, $thick] = Lot::query()->withHeld()->orderBy('id')->get()->all();
        $halves = fn (Lot $lot): int => substr_count(CoilDrawing::of($lot, 0.0)->turns(), 'A');
        $whole = $halves($thin);
        self::assertGreaterThan($halves($thick), $whole);
        app(Stockkeeping::class)->adjust($thin, $this->maker->workshop, -intdiv($thin->heldMg(), 2));
        $half = Lot::query()->withHeld()->orderBy('id')->firstOrFail();
        // From 14 to the root of (14² + 34²) / 2 instead of to 34.
        self::assertEqualsWithDelta((sqrt((14 ** 2 + 34 ** 2) / 2) - 14) / 20, $halves($half) / $whole, 0.06);
        self::assertNotSame('', CoilDrawing::of($half, 100.0)->kept());
        self::assertSame('', CoilDrawing::of($half, 0.0)->kept());
    }

    public function test_a_heap_shows_every_bead_within_its_place(): void
    {
        foreach (['8mm round', '13 x 4mm tube', '14 x 9mm drop', '2 x 2mm seed', '30mm coin'] as $bead) {
            foreach ([0, 1, 2, 3, 10, 55, 120, 5000] as $count) {
                $heap = Heap::of(CoreBead::parse($bead), $count);
                self::assertCount(min(120, $count), $heap->places, "{$count} {$bead}");
                foreach ($heap->places as [$x, $y]) {
                    self::assertLessThanOrEqual(Heap::WIDE / 2 + 0.2, abs($x) + min($heap->wide, $heap->long) / 2);
                    self::assertGreaterThanOrEqual(-Heap::HIGH - 0.5, $y);
                }
            }
        }
    }

    /** The flow of a metal is the book's own sums: a year begins with what the one before left on the coils. */
    public function test_the_book_flows_by_metal_and_year(): void
    {
        $this->travelTo('2025-06-01 10:00');
        $this->line('10 g 22 sterling')->assertStatus(303);
        $this->travelTo('2026-03-01 10:00');
        $this->line('4 g 22 sterling')->assertStatus(303);
        $this->line('30 g 18 copper')->assertStatus(303);
        $lot = Lot::query()->orderBy('id')->firstOrFail();
        app(Stockkeeping::class)->adjust($lot, $this->maker->workshop, -1500);
        $flow = new BookFlow($this->maker->workshop, 'sterling', '2026');
        self::assertSame(['there before' => 10_000, 'came in' => 4_000], $flow->flow->sources);
        self::assertSame(['on the coils' => 12_500, 'not found' => 1_500], $flow->flow->goals);
        self::assertSame(['2026', '2025'], $flow->years);
        self::assertEqualsWithDelta(14.0, $flow->strandGrams() * count($flow->strands()), 2 * $flow->strandGrams());
        $whole = new BookFlow($this->maker->workshop, 'sterling', '');
        self::assertSame(['came in' => 14_000], $whole->flow->sources);
        $this->get('/stock/book?metal=sterling&year=2025')->assertOk()->assertSee('received Coil 1')
            ->assertDontSee('received Coil 2')->assertDontSee('received Coil 3');
        $this->get('/stock/book')->assertSee('received Coil 3')->assertSee('received Coil 1');
        $this->get('/stock/book?metal=tin&year=soon')->assertOk();
        // The months between the handles, either of which may be the earlier; what is no month is the whole year.
        foreach (['from=2&to=4', 'from=4&to=2', 'from=3&to=3'] as $months) {
            $this->get("/stock/book?metal=sterling&year=2026&{$months}")->assertOk()->assertSee('received Coil 2')
                ->assertDontSee('received Coil 1')->assertSee('What these lines come to');
        }
        $this->get('/stock/book?metal=sterling&year=2026&from=4&to=12')->assertOk()->assertSee('April to December 2026')
            ->assertDontSee('received Coil 2');
        $this->get('/stock/book?metal=sterling&year=2026&from=13&to=soon')->assertOk()->assertSee('received Coil 2');
        $months = new BookMonths(
            new MonthsDesk($this->maker->workshop, '2026'), Metal::Sterling, new Period('2026', 3, 3),
        );
        $all = array_column($months->all(), null, 'month');
        self::assertSame([4_000, true, 'March'], [$all[3]['received'], $all[3]['isIn'], $all[3]['name']]);
        self::assertSame([0, 0.0, false], [$all[4]['received'], $all[4]['coil'], $all[4]['isIn']]);
        self::assertCount(12, $all);
        // The sums of months are those of their lines.
        foreach ([[1, 12], [3, 3], [4, 9]] as [$from, $to]) {
            foreach ([null, Metal::Sterling, Metal::Copper] as $metal) {
                $period = new Period('2026', $from, $to);
                self::assertEqualsCanonicalizing(
                    BookLines::subtotals(BookLines::of($this->maker->workshop, $metal, $period)),
                    BookLines::ofMonths($this->maker->workshop, $metal, $period),
                );
            }
        }
        $this->get('/stock/book?metal[]=x')->assertStatus(422);
    }

    public function test_an_empty_book_has_no_flow(): void
    {
        $this->actingAs($this->maker)->get('/stock/book')
            ->assertOk()
            ->assertSee('No line yet')
            ->assertDontSee('A strand is');
    }
}

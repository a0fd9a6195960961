<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Box;
use App\Actions\CloseMaking;
use App\Actions\Going;
use App\Actions\Stockkeeping;
use App\Exceptions\Refused;
use App\Models\Finished;
use App\Models\Movement;
use App\Models\User;
use Hebra\Core\Market\Place;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What is made lies in the box, goes from place to place, and its metal goes with it in the book. */
final class BoxTest extends TestCase
{
    private function make(string $pattern = 'link-and-drop', int $batch = 0): void
    {
        $piece = $this->piece($pattern);
        if ($batch > 0) {
            app(\App\Actions\History::class)->change($piece, $piece->revision, ChangeReader::read(
                ['do' => 'makes', 'kind' => 'batch', 'count' => (string) $batch],
            ));
        }
        $making = app(Bench::class)->begin($piece->refresh());
        app(CloseMaking::class)->close($making, $this->workshop(), ['as_it_is' => '1', 'minutes' => '61']);
    }

    /** @return array<string, int> what each account holds */
    private function accounts(): array
    {
        return Movement::query()->where('workshop_id', $this->workshop()->id)->groupBy('account')
            ->selectRaw('account, SUM(mass_mg) AS mg')->pluck('mg', 'account')
            ->map(fn (mixed $mg): int => (int) $mg)->all();
    }

    private function one(): Finished
    {
        return Finished::query()->orderBy('number')->firstOrFail();
    }

    public function test_a_pair_comes_into_the_box_as_one_and_a_batch_as_many(): void
    {
        $this->make();
        $this->make('link-and-drop', 3);
        self::assertSame([1, 2, 3, 4], Finished::query()->orderBy('number')->pluck('number')->all());
        $all = Finished::query()->orderBy('number')->get();
        self::assertSame(61, $this->one()->minutes);
        self::assertSame([21, 20, 20], $all->skip(1)->pluck('minutes')->values()->all());
        self::assertSame($this->accounts()['pieces'], $all->sum(fn (Finished $one): int => $one->massMg()));
        $this->actingAs($this->maker)->get('/box')->assertOk()->assertSee('3 in the box')->assertSee('with you');
    }

    public function test_what_is_sold_leaves_with_its_metal_and_comes_back_with_it(): void
    {
        $this->make();
        $one = $this->one();
        $mg = $one->massMg();
        $this->actingAs($this->maker)->put("/box/{$one->ulid}", [
            'place' => 'sold', 'cents' => '38.50', 'words' => 'at the ferry',
        ])->assertRedirect("/box/{$one->ulid}");
        self::assertSame([Place::Sold, 3850], [$one->refresh()->place, $one->sold_cents]);
        self::assertSame(['customers' => $mg, 'pieces' => 0], array_intersect_key(
            $this->accounts(), ['customers' => 0, 'pieces' => 0],
        ));
        $this->get("/box/{$one->ulid}")->assertSee('38.50 EUR')->assertSee('at the ferry');
        $this->put("/box/{$one->ulid}", ['place' => 'melted'])->assertStatus(422)
            ->assertSee('No. 1 is sold: take it back into the box first.');
        $this->put("/box/{$one->ulid}", ['place' => 'box'])->assertRedirect();
        self::assertSame([0, $mg], [$this->accounts()['customers'], $this->accounts()['pieces']]);
        $this->put("/box/{$one->ulid}", ['place' => 'melted'])->assertRedirect();
        self::assertSame([], $one->refresh()->place->next());
        self::assertGreaterThanOrEqual($mg, $this->accounts()['scrap jar']);
        $this->put("/box/{$one->ulid}", ['place' => 'box'])->assertStatus(422)->assertSee('nothing left of it');
    }

    public function test_what_is_no_place_or_no_price_is_said_and_nothing_moves(): void
    {
        $this->make();
        $one = $this->one();
        foreach ([
            [['place' => 'cellar'], 'cellar'], [['place' => 'sold', 'cents' => 'much'], 'much'],
            [['place' => 'sold', 'words' => str_repeat('a', 501)], '501 characters'], [['place' => 'box'], 'already'],
        ] as [$input, $says]) {
            $this->actingAs($this->maker)->put("/box/{$one->ulid}", $input)->assertStatus(422)->assertSee($says);
        }
        self::assertSame(Place::Box, $one->refresh()->place);
        self::assertSame(1, $one->moves()->count());
    }

    /** Whatever becomes of them: every gram is in one account, and those of the box are those of its pieces. */
    public function test_metal_is_conserved_wherever_pieces_go(): void
    {
        app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'coil', 'metal' => 'sterling', 'size' => '20 awg', 'temper' => 'half-hard', 'amount' => '4 m',
        ], LengthUnit::Millimetre);
        $this->make('link-and-drop', 7);
        $this->make('coiled-drop', 3);
        mt_srand(7);
        $box = app(Box::class);
        $total = array_sum($this->accounts());
        for ($turn = 0; $turn < 120; $turn++) {
            $one = Finished::query()->inRandomOrder((string) $turn)->firstOrFail();
            $next = Place::cases()[mt_rand(0, count(Place::cases()) - 1)];
            try {
                $box->move($one, Going::to($next, mt_rand(0, 9000)));
            } catch (Refused) {
            }
        }
        self::assertSame(0, $total);
        $held = ['pieces' => 0, 'customers' => 0];
        foreach (Finished::all() as $one) {
            if (isset($held[$one->place->account()])) {
                $held[$one->place->account()] += $one->massMg();
            }
        }
        $accounts = $this->accounts();
        self::assertSame(0, array_sum($accounts));
        self::assertSame($held, ['pieces' => $accounts['pieces'] ?? 0, 'customers' => $accounts['customers'] ?? 0]);
        foreach (Movement::query()->get()->groupBy('entry') as $entry) {
            self::assertSame(0, (int) $entry->sum('mass_mg'));
        }
        $sums = DB::table('movement_sums')->groupBy('account', 'metal', 'kind', 'lot_id')->orderBy('account')
            ->orderBy('metal')->orderBy('kind')->orderBy('lot_id')->selectRaw(
                'account, metal, kind, lot_id, SUM(mass_mg) AS mg, SUM(lines) AS many',
            )->get()->all();
        $book = DB::table('movements')->groupBy('account', 'metal', 'kind', 'lot_id')->orderBy('account')
            ->orderBy('metal')->orderBy('kind')->orderBy('lot_id')->selectRaw(
                'account, metal, kind, COALESCE(lot_id, 0) AS lot_id, SUM(mass_mg) AS mg, COUNT(*) AS many',
            )->get()->all();
        self::assertEquals($book, $sums, 'sums are kept in step with the book');
    }

    public function test_a_making_taken_out_of_the_book_leaves_no_piece_behind(): void
    {
        $this->make();
        $entry = (string) Movement::query()->where('kind', 'made')->value('entry');
        $one = $this->one();
        app(Box::class)->move($one, Going::to(Place::Sold, 100));
        $this->actingAs($this->maker)->post('/stock/book/reverse', ['entry' => $entry])->assertStatus(422)
            ->assertSee('only what is with you');
        $left = (string) Movement::query()->where('kind', 'left')->value('entry');
        $this->post('/stock/book/reverse', ['entry' => $left])->assertStatus(422)->assertSee('take it back in the box');
        app(Box::class)->move($one->refresh(), Going::to(Place::Box));
        $this->post('/stock/book/reverse', ['entry' => $entry])->assertRedirect();
        self::assertSame(0, Finished::query()->count());
        self::assertSame(0, $this->accounts()['pieces']);
    }

    public function test_its_label_its_sheet_and_the_table_of_all(): void
    {
        $this->make();
        $one = $this->one();
        $this->actingAs($this->maker)->put(
            "/box/{$one->ulid}/label", ['price' => '42', 'note' => 'left a little longer'],
        )
            ->assertRedirect();
        self::assertSame(4200, $one->refresh()->price_cents);
        self::assertStringStartsWith('%PDF', (string) $this->get("/box/{$one->ulid}/label.pdf")->getContent());
        $this->get("/box/{$one->ulid}/sheet")->assertOk()->assertSee('42.00 EUR')->assertSee('No. 1')
            ->assertDontSee('Cost you')->assertDontSee('margin');
        $this->get('/box.csv')->assertOk()->assertSee('42.00');
        $this->get('/box?words=7')->assertOk()->assertSee('Nothing here');
        $this->get('/box?words=no.+1')->assertOk()->assertSee('Test drops');
        $this->get('/box?where=sold')->assertOk();
    }

    public function test_a_move_is_kept_as_it_was_and_the_box_is_its_maker_s_alone(): void
    {
        $this->make();
        $one = $this->one();
        foreach (['get' => "/box/{$one->ulid}", 'put' => "/box/{$one->ulid}/label"] as $verb => $address) {
            $this->actingAs(User::factory()->create())->{$verb}($address)->assertNotFound();
        }
        $this->expectException(QueryException::class);
        DB::table('finished_moves')->update(['words' => 'nothing happened']);
    }

    public function test_an_empty_box_says_how_it_fills(): void
    {
        $this->actingAs($this->maker)->get('/box')->assertOk()->assertSee('Close a making');
    }

    /** What was made before there was a box comes into it once, with the day on which it was made. */
    public function test_what_the_book_has_in_pieces_comes_into_the_box(): void
    {
        $this->make();
        $this->make('link-and-drop', 3);
        $entry = (string) Movement::query()->where('kind', 'made')->value('entry');
        Finished::query()->delete();
        DB::table('makings')->update(['closed_at' => '2026-03-01 10:00:00']);
        app(Stockkeeping::class)->reverse($this->workshop(), $entry);
        app(Box::class)->fillWithEarlier($this->workshop());
        app(Box::class)->fillWithEarlier($this->workshop());
        $all = Finished::query()->get();
        self::assertSame([3, '2026-03-01'], [$all->count(), $all->firstOrFail()->created_at->format('Y-m-d')]);
        self::assertSame($this->accounts()['pieces'], $all->sum(fn (Finished $one): int => $one->massMg()));
    }

    public function test_editions_tell_which_of_a_piece_was_made_otherwise_and_which_sold(): void
    {
        $piece = $this->piece();
        $close = fn () => app(CloseMaking::class)->close(
            app(Bench::class)->begin($piece->refresh()), $this->workshop(), ['as_it_is' => '1'],
        );
        $close();
        $first = $this->one();
        $this->actingAs($this->maker)->get("/box/{$first->ulid}")->assertOk()->assertDontSee('Editions');
        app(\App\Actions\History::class)->change($piece, $piece->revision, ChangeReader::read(
            ['do' => 'makes', 'kind' => 'batch', 'count' => '2'],
        ));
        $close();
        app(Box::class)->move($first, Going::to(Place::Sold, 4200));
        $this->get("/box/{$first->ulid}")->assertOk()->assertSee('Edition 1')->assertSee('1 made, 1 sold for 42.00 EUR')
            ->assertSee('Edition 2')->assertSee('2 made');
    }

    /** What can be said of a piece: of which lot, and how much of it was cut for it. */
    public function test_its_share_of_each_lot_is_told(): void
    {
        $lot = app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'coil', 'metal' => 'sterling', 'size' => '20 awg', 'temper' => 'half-hard', 'amount' => '4 m',
        ], LengthUnit::Millimetre);
        $piece = $this->piece();
        app(\App\Actions\History::class)->change($piece, $piece->revision, ChangeReader::read(
            ['do' => 'makes', 'kind' => 'batch', 'count' => '2'],
        ));
        app(CloseMaking::class)->close(app(Bench::class)->begin($piece->refresh()), $this->workshop(), [
            'as_it_is' => '1', 'lot' => ['p1' => $lot->ulid],
        ]);
        $cut = -(int) Movement::query()->where('kind', 'made')->where('lot_id', $lot->id)->sum('mass_mg');
        self::assertGreaterThan(0, $cut);
        $this->actingAs($this->maker)->get("/box/{$this->one()->ulid}")
            ->assertSee("{$lot->name}, ".Figures::grams($cut / 2 / 1000));
    }
}

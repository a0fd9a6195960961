<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Book;
use App\Actions\Box;
use App\Actions\CloseMaking;
use App\Actions\Going;
use App\Actions\Planning;
use App\Actions\Stockkeeping;
use App\Models\Bead;
use App\Models\Finished;
use App\Models\Lot;
use App\Models\Movement;
use App\View\InsightDesk;
use App\View\Market\YearMoney;
use App\View\Market\YearStatement;
use App\View\MonthsDesk;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Market\Place;
use Hebra\Core\Quantity\LengthUnit;
use Tests\TestCase;

/** Metal and money of a year, scrap that goes to the refiner, stock that is taken. */
final class YearTest extends TestCase
{
    private function coil(): Lot
    {
        return app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'coil', 'metal' => 'sterling', 'size' => '20 awg', 'temper' => 'half-hard', 'amount' => '3 m',
            'price' => '24.50',
        ], LengthUnit::Millimetre);
    }

    private function make(): Finished
    {
        $making = app(Bench::class)->begin($this->piece());
        app(CloseMaking::class)->close($making, $this->workshop(), ['as_it_is' => '1', 'minutes' => '60']);

        return Finished::query()->latest('id')->firstOrFail();
    }

    public function test_what_was_paid_and_got_stands_by_month_and_by_piece(): void
    {
        $this->coil();
        app(Box::class)->move($this->make(), Going::to(Place::Sold, 4100));
        app(Box::class)->move($this->make(), Going::to(Place::Given));
        $money = new YearMoney($this->workshop(), now()->format('Y'));
        self::assertSame([now()->format('Y-m') => ['out' => 2450, 'in' => 4100, 'many' => 1]], $money->months);
        self::assertSame(
            [1, 4100, 60], [$money->pieces[0]['sold'], $money->pieces[0]['in'], $money->pieces[0]['minutes']],
        );
        $this->actingAs($this->maker)->get('/stock/months')->assertOk()->assertSee('41.00')->assertSee('24.50')
            ->assertSee('What each piece brought');
        self::assertSame([], (new YearMoney($this->workshop(), '1999'))->months);
    }

    /** What is sold has been made: it does not make what was made less. */
    public function test_into_pieces_is_what_was_made_whatever_became_of_it(): void
    {
        $one = $this->make();
        $pieces = fn (): int => (new MonthsDesk($this->workshop(), now()->format('Y')))->months[now()->format('Y-m')]['sterling']['pieces'];
        $made = $pieces();
        app(Box::class)->move($one, Going::to(Place::Sold, 4000));
        self::assertSame($made, $pieces());
        $desk = new MonthsDesk($this->workshop(), now()->format('Y'));
        self::assertSame($one->massMg(), $desk->months[now()->format('Y-m')]['sterling']['sold']);
        self::assertSame($made, $desk->years()[0]['pieces']);
        app(Box::class)->move($one, Going::to(Place::Box));
        app(Box::class)->move($one, Going::to(Place::Melted));
        self::assertSame($made, $pieces());
    }

    /** Neither the year nor what is told of waste changes with what becomes of a piece or of scrap. */
    public function test_what_the_bench_used_and_wasted_is_told_alike_whatever_becomes_of_it(): void
    {
        $lot = $this->coil();
        [$sold, $melted] = [$this->make(), $this->make()];
        $told = $this->usedAndWasted();
        self::assertSame(array_sum(Book::held($this->workshop(), 'pieces')), $told['pieces']);
        self::assertSame(Book::held($this->workshop(), 'scrap jar')['sterling'], array_sum($told['jar']));
        app(Box::class)->move($sold, Going::to(Place::Sold, 4100));
        self::assertSame($told, $this->usedAndWasted(), 'sold');
        app(Box::class)->move($melted, Going::to(Place::Melted));
        self::assertSame($told, $this->usedAndWasted(), 'melted');
        $this->actingAs($this->maker);
        foreach ([[], ['settled' => '1']] as $settled) {
            $this->post('/stock/refiner', ['metal' => 'sterling', 'weight' => '0.02', ...$settled])->assertRedirect();
            self::assertSame($told, $this->usedAndWasted(), 'at the refiner');
        }
        // The last first: what was settled goes back to the refiner, and from there into the jar.
        $refined = Movement::query()->where('kind', 'refined')->latest('id')->pluck('entry')->unique();
        foreach ($refined as $entry) {
            $this->post('/stock/book/reverse', ['entry' => $entry])->assertRedirect();
            self::assertSame($told, $this->usedAndWasted(), 'back from the refiner');
        }
        self::assertSame([], Book::held($this->workshop(), 'refiner'));
        app(Stockkeeping::class)->adjust($lot, $this->workshop(), -500);
        $less = fn (): int => array_column(
            (new InsightDesk($this->workshop()))->waste, 'mg', 'why',
        )['less in a lot than the book said'] ?? 0;
        self::assertSame(500, $less());
        app(Stockkeeping::class)->adjust($lot, $this->workshop(), 200);
        self::assertSame(500, $less(), 'what was found elsewhere makes it no less');
        $corrected = Movement::query()->where('kind', 'corrected')->oldest('id')->pluck('entry')->unique();
        foreach ($corrected as $entry) {
            $this->post('/stock/book/reverse', ['entry' => $entry])->assertRedirect();
        }
        self::assertSame(0, $less(), 'a mistake that was taken back');
    }

    /** @return array{pieces: int, jar: array<string, int>} of every metal, as both pages tell it */
    private function usedAndWasted(): array
    {
        $months = (new MonthsDesk($this->workshop(), now()->format('Y')))->months[now()->format('Y-m')];
        $insight = new InsightDesk($this->workshop());
        $jar = array_diff_key(
            array_column($insight->waste, 'mg', 'why'), ['less in a lot than the book said' => 0],
        );
        self::assertSame(array_sum(array_column($months, 'pieces')), $insight->usedMg);
        self::assertSame(array_sum(array_column($months, 'scrap')), array_sum($jar));

        return ['pieces' => $insight->usedMg, 'jar' => $jar];
    }

    public function test_scrap_goes_to_the_refiner_and_is_settled(): void
    {
        app(Box::class)->move($this->make(), Going::to(Place::Melted));
        $mg = Book::held($this->workshop(), 'scrap jar')['sterling'];
        $grams = number_format($mg / 1000, 3, '.', '');
        $this->actingAs($this->maker)->post('/stock/refiner', ['metal' => 'sterling', 'weight' => '900'])
            ->assertStatus(422)->assertSee('the scrap jar holds');
        $this->post('/stock/refiner', ['metal' => 'sterling', 'weight' => $grams])->assertRedirect('/stock/months');
        self::assertSame([], Book::held($this->workshop(), 'scrap jar'));
        self::assertSame(['sterling' => $mg], Book::held($this->workshop(), 'refiner'));
        $this->get('/stock/months')->assertSee('The refiner has');
        $this->post(
            '/stock/refiner', ['metal' => 'sterling', 'weight' => $grams, 'settled' => '1', 'words' => 'paid out'],
        )
            ->assertRedirect('/stock/months');
        self::assertSame([], Book::held($this->workshop(), 'refiner'));
        self::assertSame(0, (int) Movement::query()->sum('mass_mg'));
        foreach ([['metal' => 'tin', 'weight' => '1'], ['metal' => 'sterling', 'weight' => 'some']] as $input) {
            $this->post('/stock/refiner', $input)->assertStatus(422);
        }
    }

    public function test_stock_is_taken_all_at_once_or_not_at_all(): void
    {
        $lot = $this->coil();
        $bead = app(\App\Actions\SupplyBook::class)->bead(
            $this->workshop(), CoreBead::parse('8mm round, hole 1, moss'), 20,
        );
        $held = $lot->heldMg();
        $this->actingAs($this->maker)->get('/stock/taking')->assertOk()->assertSee('In the book');
        $this->post('/stock/taking', [
            'weight' => [$lot->ulid => '10.5'], 'count' => [$bead->ulid => 'some'],
        ])->assertStatus(422)->assertSee('“some”');
        self::assertSame($held, (int) $lot->movements()->sum('mass_mg'));
        $this->post('/stock/taking', ['weight' => [$lot->ulid => '10.5'], 'count' => [$bead->ulid => '18']])
            ->assertRedirect('/stock');
        self::assertSame(10_500, (int) $lot->movements()->sum('mass_mg'));
        self::assertSame(18, Bead::query()->sole()->owned);
        $this->post('/stock/taking', ['weight' => [$lot->ulid => '10.5'], 'count' => ['none' => '']])
            ->assertRedirect('/stock')->assertSessionHas('said', 'Everything is as the book has it.');
        $this->post('/stock/taking', ['weight' => ['nothing' => '4']])->assertStatus(422);
        $this->post('/stock/taking', ['count' => ['7' => '4']])->assertStatus(422)->assertSee('is not in stock any more');
        $this->post('/stock/taking', ['count' => 'all'])->assertStatus(422);
    }

    public function test_a_making_under_way_is_said_where_stock_is_taken(): void
    {
        app(Bench::class)->begin($this->piece());
        $this->actingAs($this->maker)->get('/stock/taking')->assertSee('Test drops is under way');
    }

    public function test_what_is_kept_for_an_order_counts_for_it_alone(): void
    {
        $one = $this->make();
        $planning = app(Planning::class);
        $due = fn (int $days): string => now()->addDays($days)->format('Y-m-d');
        $market = $planning->plan($this->workshop(), ['kind' => 'market', 'name' => 'Quay', 'due' => $due(5)]);
        $order = $planning->plan($this->workshop(), ['kind' => 'order', 'name' => 'Ysolde', 'due' => $due(9)]);
        $piece = ['piece' => $one->piece->ulid, 'count' => '1'];
        [$first, $second] = [$planning->want($market, $piece), $planning->want($order, $piece)];
        $made = fn (): array => array_map(
            fn ($piece): int => $piece->made, (new \App\Read\Wanted($this->workshop()->refresh()))->pieces,
        );
        self::assertSame([1, 0], $made());
        $this->actingAs($this->maker)->put("/box/{$one->ulid}/for", ['for' => $second->ulid])->assertRedirect();
        self::assertSame([0, 1], $made());
        app(Box::class)->move($one->refresh(), Going::to(Place::Sold, 3000));
        self::assertSame([0, 1], $made(), 'what is handed over is made');
        $this->put(
            "/box/{$one->ulid}/for", ['for' => $first->ulid],
        )->assertStatus(422)->assertSee('only what is in the box');
        app(Box::class)->move($one->refresh(), Going::to(Place::Box));
        $this->put("/box/{$one->ulid}/for", ['for' => 'none'])->assertStatus(422);
        $this->put("/box/{$one->ulid}/for", ['for' => ''])->assertRedirect();
        self::assertSame([1, 0], $made());
    }

    /** The year on paper adds up to the book, and says the same as CSV and as JSON. */
    public function test_the_statement_adds_up_to_the_book(): void
    {
        $this->coil();
        app(Box::class)->move($this->make(), Going::to(Place::Sold, 4100));
        $statement = new YearStatement($this->workshop(), now()->format('Y'));
        $silver = $statement->metals['sterling silver'];
        $held = (int) Movement::query()->whereIn('account', ['lot', 'pieces', 'scrap jar'])->sum('mass_mg');
        self::assertSame([0, $held], [$silver->beforeMg(), $silver->nowMg()]);
        self::assertSame($held, array_sum($silver->came) - array_sum($silver->went));
        $this->actingAs($this->maker)->get('/stock/statement')
            ->assertOk()
            ->assertSee('Statement of '.now()->format('Y'))
            ->assertSee('sold or given')->assertSee('41.00');
        $this->get('/stock/statement.csv')->assertOk()->assertSee('held at the end')->assertSee('sterling silver');
        $json = $this->get('/stock/statement.json')->assertOk()->json();
        self::assertSame($silver->held, $json['metals_mg']['sterling silver']['held']);
        self::assertSame(4100, array_sum(array_column($json['money_cents']['months'], 'in')));
        $this->get('/stock/statement?year=1999')->assertOk()->assertSee('Nothing was booked in it');
        // What was held at the end of a year is held at the beginning of the next.
        $this->travel(1)->years();
        $next = new YearStatement($this->workshop(), now()->format('Y'));
        self::assertSame($silver->nowMg(), $next->metals['sterling silver']->beforeMg());
    }
}

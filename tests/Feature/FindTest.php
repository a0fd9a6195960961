<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\CloseMaking;
use App\Actions\History;
use App\Actions\Planning;
use App\Actions\Stockkeeping;
use App\Actions\Tagging;
use App\Exceptions\Refused;
use App\Models\Finished;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\User;
use App\View\Found;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Told;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** One line finds everything in a workshop: by words, by what it contains, by the maker’s own tags. */
final class FindTest extends TestCase
{
    private function coil(): Lot
    {
        return app(Stockkeeping::class)->receive($this->workshop(), [
            'kind' => 'coil', 'metal' => 'copper', 'size' => '22 awg', 'temper' => 'dead-soft', 'amount' => '5 m',
        ], LengthUnit::Millimetre);
    }

    /** @return list<string> the kinds of what a line finds */
    private function kinds(string $line): array
    {
        return array_keys((new Found($this->workshop(), $line))->groups);
    }

    /** Of very many pieces the latest hang on the wall, and it says so; any other is found by its words. */
    public function test_a_wall_of_very_many_says_what_it_leaves_out(): void
    {
        $first = $this->piece('meander');
        $first->update(['name' => 'Oldest of all', 'told' => 'oldest of all']);
        for ($at = 0; $at < 60; $at++) {
            $this->travel(1)->seconds();
            $this->piece('single-drop');
        }
        $this->actingAs($this->maker)->get('/pieces')->assertOk()->assertDontSee('Oldest of all')
            ->assertSee('The latest 60 of 61 pieces');
        $this->get('/pieces?line=oldest')->assertOk()->assertSee('Oldest of all')->assertSee('1 of 61 found');
    }

    public function test_a_piece_is_found_by_what_is_in_it_and_all_made_of_it_with_it(): void
    {
        $piece = $this->piece();
        app(CloseMaking::class)->close(app(Bench::class)->begin($piece), $this->workshop(), [
            'as_it_is' => '1', 'note' => 'first of the year',
        ]);
        $this->coil();
        self::assertSame(['Pieces', 'In the box', 'Makings'], $this->kinds('glass drop'));
        self::assertContains('Wire', $this->kinds('22 copper'));
        self::assertContains('Lines of the book', $this->kinds('received'));
        self::assertSame(['Makings'], $this->kinds('first of the year'));
        self::assertSame(['In the box'], $this->kinds('no. 1'));
        self::assertSame([], $this->kinds('zeppelin'));
        self::assertSame([], $this->kinds(' '));
        $this->actingAs($this->maker)->get('/find?line=glass')->assertOk()->assertSee('In the box')
            ->assertSee('/box/'.Finished::query()->sole()->ulid, false);
        $this->get('/find?line=zeppelin')->assertOk()->assertSee('Nothing here is told by');
        $this->get('/find')->assertOk()->assertSee('One word finds all');
    }

    /** The index has the very expression that is looked for, and the search goes by it: else it reads all rows. */
    public function test_what_was_made_is_found_by_its_index(): void
    {
        $index = DB::scalar("SELECT sql FROM sqlite_master WHERE name = 'finished_told'");
        self::assertStringContainsString(Finished::TOLD, (string) $index);
        DB::enableQueryLog();
        new Found($this->workshop(), 'zeppelin');
        $asked = array_values(array_filter(
            DB::getQueryLog(), fn (array $query): bool => str_starts_with($query['query'], 'select * from "finished"'),
        ));
        $way = DB::select('EXPLAIN QUERY PLAN '.$asked[0]['query'], $asked[0]['bindings']);
        self::assertStringContainsString('finished_told', implode(' ', array_column($way, 'detail')));
    }

    public function test_orders_and_repairs_are_found_by_who_and_what(): void
    {
        app(Planning::class)->plan($this->workshop(), [
            'kind' => 'order', 'name' => 'Wilmot Tarr', 'due' => now()->addDay()->format('Y-m-d'),
        ]);
        self::assertSame(['Orders and repairs'], $this->kinds('wilmot'));
    }

    /** What a piece is looked for by is told once, in its design, however its design came to be. */
    public function test_what_is_looked_for_is_kept_in_step_with_the_design(): void
    {
        $piece = $this->piece();
        $history = app(History::class);
        $same = fn (): bool => Told::of($piece->refresh()->document()) === $piece->told;
        self::assertTrue($same());
        foreach ([
            ['do' => 'name', 'name' => 'Ebb tide'], ['do' => 'makes', 'kind' => 'batch', 'count' => '3'],
        ] as $fields) {
            $history->change($piece, $piece->revision, ChangeReader::read($fields));
            self::assertTrue($same(), $fields['do']);
        }
        self::assertSame(['Pieces'], $this->kinds('ebb tide'));
        $history->undo($piece, $piece->revision);
        $history->undo($piece, $piece->revision);
        self::assertTrue($same());
        self::assertSame([], $this->kinds('ebb tide'));
    }

    public function test_tags_find_pieces_and_lots(): void
    {
        $piece = $this->piece();
        $lot = $this->coil();
        $this->actingAs($this->maker)->put("/pieces/{$piece->ulid}/tags", ['tags' => 'Gift, blue  gift'])
            ->assertRedirect('/pieces');
        $this->put("/lots/{$lot->ulid}/tags", ['tags' => 'blue'])->assertStatus(303);
        self::assertSame(['#blue #gift', '#blue'], [$piece->refresh()->tags, $lot->refresh()->tags]);
        self::assertSame(['Pieces', 'Wire'], $this->kinds('#blue'));
        self::assertSame(['Pieces'], $this->kinds('#gift'));
        $this->get('/pieces')->assertSee('#gift');
        $this->get('/pieces?line=%23gift')->assertSee('1 of 1 found');
        $this->get('/pieces?line=%23slate')->assertSee('0 of 1 found');
        $this->get("/stock?lot={$lot->ulid}")->assertOk()->assertSee('#blue');
        $this->put("/pieces/{$piece->ulid}/tags", ['tags' => str_repeat('a ', 3).implode(' ', range(1, 9))])
            ->assertStatus(422)->assertSee('give at most 8');
        $this->put("/lots/{$lot->ulid}/tags", ['tags' => str_repeat('a', 25)])->assertStatus(422)
            ->assertSee('25 letters');
        self::assertSame('#blue', $lot->refresh()->tags);
        $this->put("/pieces/{$piece->ulid}/tags", ['tags' => ''])->assertRedirect('/pieces');
        self::assertSame('', $piece->refresh()->tags);
    }

    public function test_tags_are_read_in_any_script_and_only_so_many(): void
    {
        self::assertSame('#gift #海', Tagging::read('海, #Gift'));
        self::assertSame('', Tagging::read(' -- , '));
        $this->expectException(Refused::class);
        Tagging::read(implode(' ', range(1, 9)));
    }

    /** However many pieces came after it. */
    public function test_a_piece_of_long_ago_is_found_on_the_rails(): void
    {
        $old = app(History::class)->begin($this->workshop(), Patterns::start('link-and-drop', 'Selkie'), 'Began');
        Piece::withoutTimestamps(fn () => $old->forceFill(['updated_at' => now()->subYear()])->save());
        for ($at = 0; $at < 62; $at++) {
            app(History::class)->begin($this->workshop(), Patterns::start('link-and-drop', "Drop {$at}"), 'Began');
        }
        $this->actingAs($this->maker)->get('/pieces')->assertOk()->assertDontSee('Selkie');
        $this->get('/pieces?line=selkie')->assertOk()->assertSee('Selkie');
    }

    public function test_the_line_in_the_header_finds_what_is_no_sum(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->get('/sums?ask='.urlencode($piece->name).'&keep=1')
            ->assertRedirect('/find?line='.urlencode($piece->name));
        $this->get('/sums?ask=zeppelin&keep=1')->assertStatus(422)->assertSee('in the workshop');
        $this->get('/sums?ask='.urlencode('coil 24ga on 2.5mm, 3cm').'&keep=1')->assertRedirectContains('/sums/');
    }

    public function test_lines_of_the_book_are_filtered_and_add_up(): void
    {
        $lot = $this->coil();
        $this->coil();
        $this->actingAs($this->maker)->get('/stock/book?words='.urlencode($lot->name))->assertOk()
            ->assertSee('come to')->assertSee(number_format($lot->heldMg() / 1000, 3))->assertDontSee('Coil 2');
    }

    public function test_nothing_of_another_workshop_is_found(): void
    {
        $this->piece();
        $this->coil();
        $other = User::factory()->create();
        $this->actingAs($other)->get('/find?line=glass')->assertOk()->assertSee('Nothing here is told by');
        $this->get('/find?line=copper')->assertSee('Nothing here is told by');
    }
}

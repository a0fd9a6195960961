<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use Database\Seeders\DemoSeeder;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/**
 * What writes, and what does not: looking writes nothing, what is refused has written nothing, what is sent twice
 * counts once.
 */
final class WritingTest extends TestCase
{
    private const COIL = [
        'kind' => 'coil',
        'name' => 'Long one',
        'metal' => 'sterling',
        'size' => '22awg',
        'temper' => 'dead-soft',
        'amount' => '2 m',
    ];

    /** @return list<string> statements that write, sent while it is done */
    private function written(callable $do): array
    {
        $written = [];
        DB::listen(function (\Illuminate\Database\Events\QueryExecuted $query) use (&$written): void {
            if (
                preg_match('/^\s*(insert|update|delete|replace|create|alter|drop)\b/i', $query->sql) === 1
                && ! str_starts_with($query->sql, 'UPDATE migrations SET batch = batch')
            ) {
                $written[] = $query->sql;
            }
        });
        $do();

        return $written;
    }

    /** Every page, sheet, table and picture, once and once more with a question. */
    #[Group('wide')]
    public function test_looking_writes_nothing(): void
    {
        $this->seed(DemoSeeder::class);
        $maker = \App\Models\User::query()->where('email', 'ottla@marram-lane.example')->firstOrFail();
        $workshop = $maker->workshop;
        $piece = $workshop->pieces()->whereHas('openMaking')->firstOrFail();
        $ours = [
            '{piece}' => $piece->ulid, '{making}' => (string) $workshop->makings()->firstOrFail()->ulid,
            '{lot}' => (string) $workshop->lots()->firstOrFail()->ulid,
            '{bead}' => (string) $workshop->beads()->firstOrFail()->ulid,
            '{name}' => 'simple-loop', '{photo}' => 'none', '{token}' => 'none',
        ];
        $walked = 0;
        foreach (Routes::getRoutes() as $route) {
            /** @var Route $route */
            if (
                ! in_array('GET', $route->methods(), true)
                || str_starts_with($route->uri(), 'storage')
                || str_starts_with($route->uri(), '_')
            ) {
                continue;
            }
            foreach (
                str_contains($route->uri(), '{stage}')
                ? ['lay-out', 'wire', 'cut', 'make', 'log']
                : [''] as $stage
            ) {
                $address = '/'.strtr($route->uri(), ['{stage}' => $stage] + $ours);
                foreach ([
                    $address,
                    "{$address}?wire=20awg&inside=3mm&keep=1&ask=coil+24ga+on+2.5mm,+3cm&pieces[]={$piece->ulid}&now=1",
                ] as $asked) {
                    self::assertSame([], $this->written(fn () => $this->actingAs($maker)->get($asked)), $asked);
                    $walked++;
                }
            }
        }
        self::assertGreaterThan(90, $walked);
    }

    /** The price of a bead is good, its count is not: neither is kept. */
    public function test_what_is_refused_has_written_nothing(): void
    {
        $bead = app(SupplyBook::class)->bead($this->workshop(), CoreBead::parse('8mm round, hole 1, moss'), 4);
        $lot = app(Stockkeeping::class)->receive($this->workshop(), self::COIL, LengthUnit::Millimetre);
        $making = app(Bench::class)->begin($this->piece());
        $before = [
            DB::table('beads')->get()->toJson(),
            DB::table('movements')->get()->toJson(),
            DB::table('makings')->get()->toJson(),
        ];
        $this->actingAs($this->maker)->put(
            "/beads/{$bead->ulid}",
            ['owned' => 'many', 'price' => '0.35'],
        )->assertStatus(422);
        $this->put("/beads/{$bead->ulid}", ['owned' => '3', 'price' => '0.35', 'low' => 'x'])->assertStatus(422);
        $this->put("/lots/{$lot->ulid}", ['holds' => '12 parsecs'])->assertStatus(422);
        $points = array_map(
            fn ($point): string => $point->key,
            Inspection::of(Planner::plan($making->document(), $this->workshop()->profile())),
        );
        $this->put(
            "/makings/{$making->ulid}/inspection",
            ['found' => [$points[0] => 'fine', $points[1] => 'splendid']],
        )->assertStatus(422);
        self::assertSame(
            $before,
            [
                DB::table('beads')->get()->toJson(), DB::table('movements')->get()->toJson(),
                DB::table('makings')->get()->toJson(),
            ],
        );
    }

    public function test_a_form_that_is_sent_twice_counts_once(): void
    {
        $form = ['_once' => 'abc'] + self::COIL;
        $this->actingAs($this->maker)->post('/stock', $form)->assertStatus(303);
        $this->post('/stock', $form)->assertStatus(303)->assertSessionHas(
            'said',
            'That had arrived already: it counts once.',
        );
        self::assertSame(1, $this->workshop()->lots()->count());
        $this->post('/stock', ['amount' => '3 m', 'name' => 'Another'] + $form)->assertStatus(303);
        $this->post('/stock', ['_once' => 'def'] + self::COIL)->assertStatus(303);
        self::assertSame(3, $this->workshop()->lots()->count(), 'other contents, or another form, are another coil');
        // What was refused may be sent again as it is.
        $this->post('/beads', ['_once' => 'ghi', 'bead' => 'nonsense'])->assertStatus(422);
        $this->post('/beads', ['_once' => 'ghi', 'bead' => 'nonsense'])->assertStatus(422);
        foreach (['/stock', '/account', '/hand'] as $page) {
            $html = (string) $this->get($page)->getContent();
            self::assertSame(
                substr_count($html, 'name="_token"'),
                preg_match_all('/name="_once" value="(\w{20})"/', $html, $match),
                $page,
            );
            self::assertSame($match[1], array_unique($match[1]));
        }
    }
}

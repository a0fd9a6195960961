<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use App\Actions\Drilling;
use App\Actions\Planning;
use App\Actions\Repairing;
use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Models\Bead;
use App\Models\CutTick;
use App\Models\Finished;
use App\Models\Photo;
use App\Models\Tool;
use App\Models\User;
use App\View\SeenPiece;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;

/** Walks every route as a stranger and as a maker of another workshop: nothing of this workshop is seen or moved. */
final class StrangersTest extends TestCase
{
    private const OPEN = [
        'GET sign-in', 'POST sign-in', 'GET sign-up', 'POST sign-up', 'GET join/{token}', 'POST join/{token}',
        'POST enter-demo', 'GET up',
    ];

    /** @return array<string, string> what each route parameter is called here */
    private function ours(): array
    {
        $piece = $this->piece();
        $deleted = $this->piece();
        $deleted->delete();
        $making = app(Bench::class)->begin($piece);
        $lot = app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'metal' => 'copper', 'size' => '20awg', 'temper' => 'dead-soft', 'amount' => '2 m',
                'name' => 'Secret coil',
            ],
            LengthUnit::Millimetre,
        );
        $bead = Bead::query()->create(
            [...Bead::columns(CoreBead::parse('Secret bead: 6mm round')), 'workshop_id' => $this->workshop()->id],
        );

        $supply = app(SupplyBook::class)->receive(
            $this->workshop(),
            ['kind' => 'packing', 'name' => 'Secret box', 'amount' => '4'],
            $this->workshop()->profile(),
        );

        $tool = Tool::query()->create(
            ['workshop_id' => $this->workshop()->id, 'kind' => 'mandrel', 'name' => 'Secret rod', 'marks_um' => [3000]],
        );

        $tick = CutTick::query()->create(
            [
                'workshop_id' => $this->workshop()->id, 'piece_id' => $piece->id, 'lot_id' => $lot->id, 'cut' => 'p2',
                'length_um' => 80_000,
            ],
        );

        $drill = app(Drilling::class)->keep(
            $this->workshop(),
            [
                'kind' => 'loops', 'metal' => 'copper', 'size' => '20 awg', 'temper' => 'dead-soft', 'wanted' => '2.5',
                'sizes' => '2.4, 2.6',
            ],
        );
        $photo = Photo::query()->create(
            [
                'workshop_id' => $this->workshop()->id, 'making_id' => $making->id, 'width' => 1, 'height' => 1,
                'jpeg_base64' => base64_encode('Secret'),
            ],
        );

        $planning = app(Planning::class);
        $occasion = $planning->plan($this->workshop(), [
            'kind' => 'order', 'name' => 'Secret customer', 'due' => now()->addDays(9)->format('Y-m-d'),
        ]);
        $want = $planning->want($occasion, ['piece' => $piece->ulid, 'count' => '2']);
        $finished = Finished::query()->create([
            'workshop_id' => $this->workshop()->id, 'piece_id' => $piece->id, 'making_id' => $making->id, 'number' => 1,
            'name' => 'Secret pair', 'place' => 'box', 'metals' => ['sterling' => 900], 'moved_at' => now(),
        ]);

        $repair = app(Repairing::class)->take($this->workshop(), [
            'who' => 'Secret owner', 'due' => now()->addDays(3)->format('Y-m-d'), 'name' => 'Secret bangle',
            'words' => 'a new hook', 'minutes' => '20',
        ]);

        $seen = SeenPiece::in($this->workshop())($piece->json());

        return [
            '{key}' => basename($seen->hung([1.0, 1.0, 1.0])->address, '.svg'),
            '{repair}' => $repair->ulid, '{occasion}' => $occasion->ulid, '{want}' => $want->ulid,
            '{finished}' => $finished->ulid,
            '{drill}' => $drill->ulid,
            '{photo}' => $photo->ulid,
            '{tick}' => (string) $tick->id,
            '{piece}' => $piece->ulid,
            '{tool}' => $tool->ulid,
            '{metal}' => 'copper',
            '{deleted}' => $deleted->ulid,
            '{making}' => $making->ulid,
            '{lot}' => $lot->ulid,
            '{bead}' => $bead->ulid,
            '{supply}' => $supply->ulid,
            '{stage}' => 'lay-out', '{step}' => '1',
            '{pattern}' => 'single-drop', '{name}' => 'simple-loop',
        ];
    }

    /** @return list<array{string, string}> method and address of every route of the application */
    private function routes(): array
    {
        $all = [];
        foreach (Routes::getRoutes() as $route) {
            /** @var Route $route */
            if (str_starts_with($route->uri(), '_') || str_starts_with($route->uri(), 'storage')) {
                continue;
            }
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $all[] = [$method, $route->uri()];
            }
        }

        return $all;
    }

    /** @return array<string, string> a fingerprint of all that is saved */
    private function saved(): array
    {
        $all = [];
        foreach ([
            'workshops', 'users', 'pieces', 'piece_revisions', 'lots', 'movements', 'makings', 'beads', 'supplies',
            'supply_movements', 'reservations', 'tools', 'cut_ticks', 'drills', 'measurements', 'photos', 'inspections',
            'step_times', 'making_cuts', 'occasions', 'wants', 'finished', 'finished_moves', 'repairs',
        ] as $table) {
            $all[$table] = md5((string) json_encode(DB::table($table)->orderBy('id')->get()));
        }

        return $all;
    }

    public function test_a_stranger_is_sent_to_sign_in(): void
    {
        $ours = $this->ours();
        $before = $this->saved();
        $walked = 0;
        foreach ($this->routes() as [$method, $uri]) {
            if (in_array("{$method} {$uri}", self::OPEN, true)) {
                continue;
            }
            $this->call($method, '/'.strtr($uri, $ours))->assertRedirect('/sign-in');
            $walked++;
        }
        self::assertGreaterThan(25, $walked);
        self::assertSame($before, $this->saved());
    }

    public function test_another_maker_finds_nothing_of_ours(): void
    {
        $ours = $this->ours();
        $other = User::factory()->create();
        $before = $this->saved();
        $walked = 0;
        foreach ($this->routes() as [$method, $uri]) {
            $address = strtr($uri, $ours);
            if (preg_match(
                '/\{(piece|deleted|making|lot|bead|supply|tool|drill|photo|occasion|want|finished|repair|key)\}/', $uri,
            ) === 1) {
                $this->actingAs($other)->call(
                    $method,
                    '/'.$address,
                    ['revision' => 1, 'do' => 'name', 'name' => 'Taken', 'at' => 0, 'holds' => '1m', 'owned' => 3],
                )->assertNotFound();
                $walked++;
            } elseif ($method === 'GET' && ! in_array("{$method} {$uri}", self::OPEN, true)) {
                $this->actingAs($other)->get(
                    '/'.$address,
                )->assertOk()->assertDontSee('Secret')->assertDontSee('Test drops');
                $walked++;
            }
        }
        self::assertGreaterThan(20, $walked);
        self::assertSame($before, $this->saved());
    }

    public function test_another_maker_cannot_reverse_our_entry_or_cut_from_our_coil(): void
    {
        $ours = $this->ours();
        $entry = (string) DB::table('movements')->value('entry');
        $other = User::factory()->create();
        $this->actingAs($other)->post('/stock/book/reverse', ['entry' => $entry])->assertNotFound();
        $theirs = $this->piece(workshop: $other->workshop);
        $making = app(Bench::class)->begin($theirs);
        $this->put(
            "/makings/{$making->ulid}",
            ['as_it_is' => '1', 'lot' => ['p1' => $ours['{lot}']]],
        )->assertStatus(422)->assertSee('is not in this workshop’s stock');
        self::assertSame(2, DB::table('movements')->count());
    }
}

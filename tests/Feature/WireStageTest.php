<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Stockkeeping;
use App\View\Desk;
use App\View\WireUse;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Barred;
use Hebra\Core\Quantity\LengthUnit;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class WireStageTest extends TestCase
{
    public function test_one_wire_is_open_and_ranked_with_reasons(): void
    {
        $piece = $this->piece();
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/wire?role=link")->assertOk();
        $page->assertSee('22 AWG, dead soft')->assertSee('bends easily')->assertSee(
            'too thick for the sand 4 mm bicone',
        )->assertSee('would crack in the bend')->assertSee('How it fits');
        $this->get("/pieces/{$piece->ulid}/wire?role=nonsense")->assertOk()->assertSee('its eye opens at');
    }

    public function test_a_choice_sets_size_and_temper_at_once_and_keeps_its_wire_open(): void
    {
        $piece = $this->piece();
        $this->change(
            $piece,
            ['do' => 'wire', 'role' => 'link', 'choice' => '24 awg/half-hard', 'stage' => 'wire'],
        )->assertOk()->assertSee('24 AWG, half hard')->assertSee('id="role-link"', false);
        $wire = $piece->refresh()->document()->wires['link'];
        self::assertSame(['24 awg', 'half-hard'], [$wire->size->code(), $wire->temper->value]);
        foreach (['24 awg', '24/half-hard', '24 awg/springy', '/', ''] as $choice) {
            $this->change(
                $piece,
                ['do' => 'wire', 'role' => 'link', 'choice' => $choice, 'size' => '', 'stage' => 'wire'],
            )->assertStatus($choice === '' ? 200 : 422);
        }
        self::assertSame('24 awg', $piece->refresh()->document()->wires['link']->size->code());
    }

    public function test_stock_and_its_price_stand_beside_the_wire(): void
    {
        $piece = $this->piece();
        app(Stockkeeping::class)->receive(
            $this->workshop(),
            [
                'kind' => 'coil', 'metal' => 'sterling', 'size' => '22awg', 'temper' => 'dead-soft', 'amount' => '5 m',
                'price' => '30',
            ],
            LengthUnit::Millimetre,
        );
        // 2 links of 80.16 mm at 6.00 a metre.
        $this->actingAs($this->maker)->get(
            "/pieces/{$piece->ulid}/wire?role=link",
        )->assertSee('5000 mm in stock')->assertSee('costs')->assertSee('0.96')->assertSee('enough in stock');
    }

    public function test_a_fit_is_set_here_and_refused_at_its_field(): void
    {
        $piece = $this->piece();
        $this->change(
            $piece,
            ['do' => 'fit', 'kind' => 'finger', 'fit' => 'us 7', 'was' => 'finger', 'stage' => 'wire'],
        )->assertOk()->assertSee('US 7 · UK N 1/2 · ISO 54.4')->assertSee('Never form a ring on the finger');
        $this->change(
            $piece,
            ['do' => 'fit', 'kind' => 'finger', 'fit' => 'us 99', 'was' => 'finger', 'stage' => 'wire'],
        )->assertStatus(422)->assertSee('id="problem-fit"', false)->assertSee('is out of range: give 11.6 mm to 25 mm');
        self::assertEqualsWithDelta(17.3196, $piece->refresh()->document()->fit->mm, 1e-9);
        $this->change(
            $piece,
            ['do' => 'fit', 'kind' => 'ear', 'fit' => '30', 'was' => 'ear', 'stage' => 'wire'],
        )->assertOk()->assertSee('lower than the 30 mm you want')->assertSee('Let it hang that low');
        $this->get("/pieces/{$piece->ulid}/export")->assertSee('"fit":{"kind":"ear","size_mm":30.0}', false);
    }

    public function test_with_nothing_laid_out_it_says_where_to_begin(): void
    {
        $piece = $this->piece('single-drop');
        foreach (['p1', 'p2'] as $part) {
            $this->change($piece, ['do' => 'part.remove', 'part' => $part])->assertOk();
        }
        $this->get("/pieces/{$piece->ulid}/wire")->assertOk()->assertSee('start from the ear down');
    }

    /**
     * Rings of one chain in two gauges: a part takes a wire of its own where the wires are chosen, and its cut is of
     * that wire.
     */
    public function test_a_part_takes_a_wire_of_its_own(): void
    {
        $piece = $this->piece('linked-bracelet');
        $this->actingAs($this->maker)->get(
            "/pieces/{$piece->ulid}/wire?role=ring",
        )->assertOk()->assertSee('a wire of its own');
        $this->change(
            $piece,
            ['do' => 'part.wire', 'part' => 'p4', 'own' => '1', 'stage' => 'wire', 'role' => 'p4'],
        )->assertOk()->assertSeeInOrder(['Ring, its own', 'back to the common wire']);
        $this->change(
            $piece,
            ['do' => 'wire', 'role' => 'p4', 'choice' => '16 awg/half-hard', 'stage' => 'wire'],
        )->assertOk();
        $this->get("/pieces/{$piece->ulid}/cut")->assertOk()->assertSee('16 AWG');
        $this->get("/pieces/{$piece->ulid}/lay-ready")->assertOk()->assertSee('16 AWG');
        self::assertSame(
            '16 AWG, half hard for the wire of the ring',
            DB::table('piece_revisions')->where('piece_id', $piece->id)->orderByDesc('number')->value('words'),
        );
    }

    /** The map tells each region that is out by its reason, once, at a cell that is out for it. */
    public function test_regions_that_are_out_are_named_where_they_lie(): void
    {
        $seen = [];
        foreach (array_keys(Patterns::all()) as $pattern) {
            $desk = new Desk($this->piece($pattern), $this->workshop(), 'wire');
            foreach ($desk->document->rolesToChoose() as $role) {
                $choice = $desk->wireChoice($role);
                $cells = [];
                foreach ($choice->grid() as $size) {
                    foreach ($size['cells'] as $row) {
                        $cells[$choice->value($row)] = $row;
                    }
                }
                foreach ($choice->regions() as $cell => $label) {
                    self::assertFalse($cells[$cell]->fits, "{$pattern}, {$role}");
                    self::assertSame($cells[$cell]->said->barred?->words(), $label['words'], "{$pattern}, {$role}");
                    $seen[$label['words']] = true;
                }
                self::assertSame(
                    array_unique(array_column($choice->regions(), 'words')),
                    array_column($choice->regions(), 'words'), "{$pattern}, {$role}: each once",
                );
            }
        }
        self::assertArrayHasKey(Barred::Thick->words(), $seen);
        self::assertArrayHasKey(Barred::Cracks->words(), $seen);
        self::assertArrayHasKey(Barred::Weak->words(), $seen);
    }

    /** The row of all wires says of each what its own table says of the chosen one. */
    public function test_every_wire_in_its_row_is_the_chosen_one_of_its_table(): void
    {
        foreach (['link-and-drop', 'sectioned-band', 'two-row-frame', 'chain-stations'] as $pattern) {
            $desk = new Desk($this->piece($pattern), $this->workshop(), 'wire');
            foreach ($desk->wireBoard()->uses() as $use) {
                self::assertEquals(
                    $desk->wireChoice($use->role)->chosenRow()?->ranked(0), $use->row->ranked(0), $use->role,
                );
            }
        }
    }

    public function test_a_wire_that_passes_no_hole_is_told_with_the_thickest_that_does(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->change($piece, ['do' => 'wire', 'role' => 'link', 'size' => '14 awg', 'stage' => 'wire'])->assertOk()
            ->assertSee('too tight');
        $uses = (new Desk($piece->refresh(), $this->workshop(), 'wire'))->wireBoard()->uses();
        $use = array_values(array_filter($uses, fn (WireUse $one): bool => $one->role === 'link'))[0];
        self::assertTrue($use->isTight());
        self::assertNotNull($use->passing);
        $this->change($piece, ['do' => 'wire', 'role' => 'link', 'size' => $use->passing->code(), 'stage' => 'wire'])
            ->assertOk()->assertDontSee('too tight');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\View\PieceCard;
use App\View\PiecesWall;
use App\View\VariantsDesk;
use Hebra\Core\Piece\PieceJson;
use Tests\TestCase;

/** Variants are kept beside a piece, seen side by side, and one of them is taken. */
final class VariantTest extends TestCase
{
    private function keep(Piece $piece): Piece
    {
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/beside")
            ->assertRedirect("/pieces/{$piece->ulid}/beside");

        return $piece->refresh()->variants()->latest('id')->firstOrFail();
    }

    public function test_a_variant_is_the_piece_once_more_and_they_know_each_other(): void
    {
        $piece = $this->piece('link-and-drop');
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/lay-out")->assertSee('Keep beside');
        $before = $piece->updated_at;
        $variant = $this->keep($piece);
        self::assertEquals($piece->document()->parts, $variant->document()->parts);
        self::assertSame($piece->name.', variant 2', $variant->name);
        self::assertTrue($before->equalTo($piece->refresh()->updated_at), 'the piece itself is not changed');
        self::assertSame([$piece->ulid], $variant->variants()->pluck('ulid')->all());
        $third = $this->keep($variant);
        self::assertSame($variant->family, $third->family);
        self::assertSame(2, $piece->variants()->count());
        $this->get("/pieces/{$piece->ulid}/lay-out")->assertSee('Variants')->assertDontSee('Keep beside');
    }

    public function test_what_differs_is_told_and_least_is_marked(): void
    {
        $piece = $this->piece('link-and-drop');
        $variant = $this->keep($piece);
        $this->change($variant, ['do' => 'wire', 'role' => 'link', 'size' => '26 awg', 'stage' => 'wire'])->assertOk();
        $desk = new VariantsDesk($piece->refresh(), $this->workshop());
        self::assertSame([], $desk->variants[0]->differences);
        self::assertCount(1, $desk->variants[1]->differences);
        self::assertStringContainsString('22 AWG', $desk->variants[1]->differences[0]);
        self::assertTrue($desk->variants[1]->figures['each weighs']['isLeast'], 'thinner wire weighs less');
        self::assertFalse($desk->variants[0]->figures['each weighs']['isLeast']);
        self::assertSame($desk->variants[0]->drawing->ratio, $desk->variants[1]->drawing->ratio, 'at one scale');
        $this->get("/pieces/{$piece->ulid}/beside")->assertOk()->assertSee('26 AWG')->assertSee('Make the piece so');
    }

    public function test_a_variant_becomes_the_piece_and_back(): void
    {
        $piece = $this->piece('link-and-drop');
        $name = $piece->document()->name;
        $before = PieceJson::write($piece->document());
        $variant = $this->keep($piece);
        $this->change($variant, ['do' => 'part.remove', 'part' => 'p3'])->assertOk();
        $this->post(
            "/pieces/{$piece->ulid}/beside/take",
            ['variant' => $variant->ulid, 'revision' => $piece->refresh()->revision],
        )->assertRedirect("/pieces/{$piece->ulid}/lay-out");
        $now = $piece->refresh()->document();
        self::assertSame($name, $now->name);
        self::assertEquals($variant->refresh()->document()->parts, $now->parts);
        $this->post("/pieces/{$piece->ulid}/undo", ['revision' => $piece->revision, 'stage' => 'lay-out']);
        self::assertSame($before, PieceJson::write($piece->refresh()->document()));
    }

    public function test_what_is_none_of_its_variants_is_refused_and_nothing_changes(): void
    {
        $piece = $this->piece('link-and-drop');
        $other = $this->piece('single-drop');
        $this->actingAs($this->maker);
        foreach ([$other->ulid, 'nothing', ''] as $variant) {
            $this->post(
                "/pieces/{$piece->ulid}/beside/take", ['variant' => $variant, 'revision' => $piece->revision],
            )->assertStatus(422)->assertSee('That variant is not here any more');
        }
        $variant = $this->keep($piece);
        $this->change($piece->refresh(), ['do' => 'name', 'name' => 'Moved on'])->assertOk();
        $this->post(
            "/pieces/{$piece->ulid}/beside/take", ['variant' => $variant->ulid, 'revision' => 1],
        )->assertStatus(409)->assertSee('changed elsewhere');
        self::assertSame('Moved on', $piece->refresh()->name);
    }

    /** On the wall they share a hanger, however many other pieces were worked on between them. */
    public function test_variants_hang_beside_each_other(): void
    {
        $piece = $this->piece('link-and-drop');
        $other = $this->piece('single-drop');
        $variant = $this->keep($piece);
        $this->travel(2)->minutes();
        $this->change($other, ['do' => 'name', 'name' => 'Between'])->assertOk();
        $this->travel(2)->minutes();
        $this->change($piece, ['do' => 'name', 'name' => 'Latest'])->assertOk();
        $wall = new PiecesWall($this->workshop(), '');
        $names = array_map(fn (PieceCard $card): string => $card->piece->name, $wall->rails['On paper']);
        self::assertSame(['Latest', $variant->name, 'Between'], $names);
        self::assertSame([$variant->family => 2], PiecesWall::hangers($wall->rails['On paper']));
        $html = (string) $this->get('/pieces')->assertOk()->assertSee('2 variants side by side')->getContent();
        self::assertSame(1, substr_count($html, 'place-variants'));
        self::assertSame(2, substr_count($html, 'place shares'));
    }

    public function test_one_that_was_put_away_stands_there_no_more(): void
    {
        $piece = $this->piece('link-and-drop');
        $variant = $this->keep($piece);
        $this->delete("/pieces/{$variant->ulid}")->assertRedirect();
        self::assertCount(1, (new VariantsDesk($piece->refresh(), $this->workshop()))->variants);
        $this->get("/pieces/{$piece->ulid}/beside")->assertOk()->assertSee('Nothing is kept beside it yet');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\View\PieceCard;
use App\View\PiecesWall;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Illuminate\Http\UploadedFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class PieceTest extends TestCase
{
    public function test_a_new_piece_is_complete_and_opens_at_lay_out(): void
    {
        $this->actingAs($this->maker)->get('/pieces')->assertOk()->assertSee('No piece yet');
        $this->post('/pieces', ['name' => 'Gull', 'pattern' => 'two-links'])->assertRedirect();
        $piece = Piece::query()->sole();
        $this->get("/pieces/{$piece->ulid}/lay-out")->assertOk()->assertSee('Gull')->assertSee('From the ear down');
    }

    #[Group('wide')]
    public function test_every_stage_works_without_and_with_stock_and_for_every_pattern(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = $this->piece($pattern);
            foreach (array_keys(Piece::STAGES) as $stage) {
                $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/{$stage}")->assertOk();
            }
            foreach (['lay-ready', 'strips', 'lay-ready?for=7'] as $sheet) {
                $this->get("/pieces/{$piece->ulid}/{$sheet}")->assertOk();
            }
        }
        $this->get("/pieces/{$piece->ulid}/solder")->assertNotFound();
    }

    public function test_a_change_answers_with_the_desk_as_a_fragment_and_as_a_page_for_a_form(): void
    {
        $piece = $this->piece();
        $fragment = $this->change(
            $piece,
            ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'by' => 1, 'hung' => '54.621'],
        )->assertOk();
        self::assertStringStartsWith('<div id="desk"', trim((string) $fragment->getContent()));
        $fragment->assertSeeText('54.5 mm → 62.5 mm')->assertSeeText('2 × moss 8 mm round');
        $this->post(
            "/pieces/{$piece->ulid}/changes",
            ['revision' => 2, 'stage' => 'lay-out', 'do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'by' => 1],
        )->assertStatus(303);
        self::assertSame(3, $piece->refresh()->revision);
    }

    public function test_undo_then_redo_gives_the_same_document_byte_for_byte(): void
    {
        $piece = $this->piece();
        $documents = [$piece->json()];
        foreach ([
            ['do' => 'part.add', 'technique' => 'wrapped-link'], ['do' => 'wire', 'role' => 'link', 'size' => '0,8 mm'],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'tail', 'value' => '1/3 in'],
            ['do' => 'name', 'name' => 'Ünïcode “drops” / 2'],
        ] as $change) {
            $this->change($piece, $change)->assertOk();
            $piece->refresh()->moved();
            $documents[] = $piece->json();
        }
        self::assertCount(5, array_unique($documents));
        foreach ([3, 2, 1, 0] as $at) {
            $this->post(
                "/pieces/{$piece->ulid}/undo",
                ['revision' => $piece->refresh()->revision],
                ['HX-Request' => 'true'],
            )->assertOk();
            $piece->refresh()->moved();
            self::assertSame($documents[$at], $piece->json());
        }
        $this->post(
            "/pieces/{$piece->ulid}/undo",
            ['revision' => 1],
            ['HX-Request' => 'true'],
        )->assertStatus(409)->assertSee('There is nothing left to undo');
        foreach ([1, 2, 3, 4] as $at) {
            $this->post(
                "/pieces/{$piece->ulid}/redo",
                ['revision' => $piece->refresh()->revision],
                ['HX-Request' => 'true'],
            )->assertOk();
            $piece->refresh()->moved();
            self::assertSame($documents[$at], $piece->json());
        }
        self::assertSame('Ünïcode “drops” / 2', $piece->name);
        $this->post("/pieces/{$piece->ulid}/redo", ['revision' => 5], ['HX-Request' => 'true'])->assertStatus(409);
    }

    public function test_a_change_after_undo_forgets_what_was_undone(): void
    {
        $piece = $this->piece();
        $this->change($piece, ['do' => 'name', 'name' => 'First']);
        $this->post("/pieces/{$piece->ulid}/undo", ['revision' => 2]);
        $this->change($piece, ['do' => 'name', 'name' => 'Second'])->assertOk();
        self::assertSame([1, 2], $piece->history()->orderBy('number')->pluck('number')->all());
        self::assertSame('Second', $piece->refresh()->name);
    }

    public function test_a_stale_form_is_told_and_loses_nothing(): void
    {
        $piece = $this->piece();
        $this->change($piece, ['do' => 'name', 'name' => 'From another tab'])->assertOk();
        $stale = $this->post(
            "/pieces/{$piece->ulid}/changes",
            ['revision' => 1, 'stage' => 'lay-out', 'do' => 'bead.remove', 'part' => 'p2', 'at' => 0],
            ['HX-Request' => 'true'],
        );
        $stale->assertStatus(409)->assertSee(
            'This piece was changed elsewhere since you opened it here (you saw change 1, it stands at 2).',
        )->assertSee('From another tab');
        self::assertSame([2, 'From another tab'], [$piece->refresh()->revision, $piece->name]);
        self::assertCount(2, $piece->document()->parts[1]->beads);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badInput(): array
    {
        $loop = fn (mixed $value): array => [
            'do' => 'part.set',
            'part' => 'p2',
            'key' => 'top_inside',
            'value' => $value,
        ];

        return [
            'zero' => [$loop('0'), 'Top loop, inside 0 mm is out of range: give 0.8 mm to 30 mm.'],
            'negative' => [$loop('-3'), 'Top loop, inside −3 mm is out of range'],
            'without end' => [$loop('1e309'), 'Top loop, inside “1e309” is not a length'],
            'a word' => [$loop('banana'), 'Top loop, inside “banana” is not a length'],
            '400 characters' => [
                $loop(str_repeat('9', 400)), 'Top loop, inside holds 400 characters: give at most 80.',
            ],
            'an emoji' => [$loop('🧷'), 'Top loop, inside “🧷” is not a length'],
            'a list' => [$loop(['a', 'b']), 'Value is a list: give text.'],
            'negative wraps' => [
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '-1'],
                'Top wraps −1 is out of range: give 0 to 20.',
            ],
            'too many parts' => [
                ['do' => 'part.repeat', 'part' => 'p2', 'count' => '2000'],
                'Parts would come to 2002 parts: a piece holds at most 2000.',
            ],
            'too many beads' => [
                ['do' => 'bead.count', 'part' => 'p2', 'at' => '0', 'count' => '2000'],
                'Beads would come to 2002 beads: a piece holds at most 2000.',
            ],
            'a whole wire size' => [
                ['do' => 'wire', 'role' => 'link', 'size' => '20', 'stage' => 'wire'],
                'Size “20” could be 20awg, 20swg or 20mm: add which one you mean.',
            ],
            'no bead' => [
                ['do' => 'bead.add', 'part' => 'p2', 'bead' => 'a nice one'],
                'Bead “a nice one” is not a bead I can read',
            ],
            'a bead with too wide a hole' => [
                ['do' => 'bead.add', 'part' => 'p2', 'bead' => '4mm round, hole 9'], 'Bead hole 9 mm is not a size',
            ],
            'no revision' => [['do' => 'name', 'name' => 'x', 'revision' => ''], 'Revision is missing or no number'],
            'a batch beyond reason' => [
                ['do' => 'makes', 'kind' => 'batch', 'count' => '5000'], 'Count 5000 is out of range: give 1 to 200.',
            ],
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('badInput')]
    public function test_bad_input_gets_one_sentence_in_its_place_and_saves_nothing(
        array $input,
        string $sentence,
    ): void {
        $piece = $this->piece();
        $before = $piece->json();
        $response = $this->change($piece, $input)->assertStatus(422);
        self::assertSame(1, substr_count(html_entity_decode((string) $response->getContent()), $sentence), $sentence);
        self::assertSame([1, $before], [$piece->refresh()->revision, $piece->json()]);
    }

    public function test_a_bead_hole_too_small_is_said_where_the_wire_is_chosen(): void
    {
        $piece = $this->piece();
        $this->change(
            $piece,
            ['do' => 'bead.edit', 'bead' => 'b1', 'hole' => '0.4', 'stage' => 'lay-out'],
        )->assertOk()->assertSee('22 AWG does not pass the moss 8 mm round');
        $this->actingAs($this->maker)->post(
            "/pieces/{$piece->ulid}/makings",
            [],
            ['HX-Request' => 'true'],
        )->assertStatus(422)->assertSee('This cannot be made yet.');
    }

    public function test_json_takes_changes_and_refuses_wrong_types(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->postJson(
            "/pieces/{$piece->ulid}/changes",
            ['revision' => 1, 'do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'by' => 2],
        )
            ->assertOk()->assertJsonPath('revision', 2)->assertJsonPath('piece.parts.1.beads.0.count', 3);
        foreach ([
            [['revision' => 2, 'do' => ['x']], 'do', 'Do is a list: give text.'],
            [
                ['revision' => 2, 'do' => 'bead.count', 'part' => ['a' => 1], 'at' => 0, 'by' => 1], 'part',
                'Part is an object: give text.',
            ],
            [
                ['revision' => 2, 'do' => 'bead.count', 'part' => 'p2', 'at' => 0.5, 'by' => 1], 'at',
                'At “0.5” is not a count',
            ],
            [['revision' => true, 'do' => 'name', 'name' => 'x'], 'revision', 'Revision is missing or no number'],
            [['revision' => 2, 'do' => 'name'], 'name', 'Name is missing: give text.'],
            [['do' => 'name', 'name' => 'x'], 'revision', 'Revision is missing or no number'],
        ] as [$body, $field, $sentence]) {
            $response = $this->postJson(
                "/pieces/{$piece->ulid}/changes",
                $body,
            )->assertStatus(422)->assertJsonPath('field', $field);
            self::assertStringContainsString($sentence, (string) $response->json('message'));
        }
        self::assertSame(2, $piece->refresh()->revision);
    }

    public function test_export_and_import_are_the_same_piece(): void
    {
        $piece = $this->piece();
        $json = (string) $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/export")->assertOk()->getContent();
        self::assertSame($piece->json(), PieceJson::write(PieceJson::read($json)));
        $this->post(
            '/pieces/import',
            ['file' => UploadedFile::fake()->createWithContent('drops.json', $json)],
        )->assertRedirect();
        self::assertSame($piece->json(), Piece::query()->latest('id')->firstOrFail()->json());
    }

    public function test_all_pieces_go_out_in_one_file_and_come_back(): void
    {
        $one = $this->piece();
        $two = $this->piece('linked-bracelet');
        $json = (string) $this->actingAs($this->maker)->get('/pieces/export')->assertOk()->getContent();
        $this->post(
            '/pieces/import',
            ['file' => UploadedFile::fake()->createWithContent('all.json', $json)],
        )->assertRedirect('/pieces');
        self::assertSame(
            [$one->json(), $two->json(), $one->json(), $two->json()],
            Piece::query()->oldest('id')->get()->map(fn (Piece $piece): string => $piece->json())->all(),
        );
        // One bad piece among them, and none is kept.
        $document = json_decode($json, true);
        $document['pieces'][1]['parts'][0]['repeat'] = 0;
        foreach ([
            'In piece 2: parts 0 repeat 0 is out of range' => $document,
            'Pieces is an empty list' => ['hebra' => 'pieces', 'version' => 1, 'pieces' => []],
            'Version 9 is not known here' => ['hebra' => 'pieces', 'version' => 9, 'pieces' => []],
            'give a list' => ['hebra' => 'pieces', 'version' => 1, 'pieces' => 'all'],
        ] as $sentence => $bad) {
            $this->post(
                '/pieces/import',
                ['file' => UploadedFile::fake()->createWithContent('bad.json', (string) json_encode($bad))],
            )->assertStatus(422)->assertSee($sentence);
        }
        self::assertSame(4, Piece::query()->count());
    }

    /** A picture is well-formed, true to size, without a variable or a script, and its names are text. */
    #[Group('wide')]
    public function test_drawing_and_strips_are_pictures_of_their_own(): void
    {
        $this->actingAs($this->maker);
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = $this->piece($pattern);
            $this->change($piece, ['do' => 'name', 'name' => '<b onload="x">&']);
            foreach (['drawing.svg', 'strips.svg'] as $file) {
                $response = $this->get(
                    "/pieces/{$piece->ulid}/{$file}",
                )->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
                $svg = (string) $response->getContent();
                $document = new \DOMDocument;
                self::assertTrue($document->loadXML($svg, LIBXML_NONET), $pattern);
                self::assertSame(0, $document->getElementsByTagName('b')->length);
                self::assertSame('<b onload="x">&', $document->getElementsByTagName('title')->item(0)?->textContent);
                self::assertStringNotContainsString('var(--', $svg);
                self::assertStringContainsString(
                    "default-src 'none'",
                    (string) $response->headers->get('Content-Security-Policy'),
                );
            }
            $longest = max(
                array_map(
                    fn ($cut): float => $cut->lengthMm(),
                    Planner::plan($piece->refresh()->document(), new Profile)->strips(),
                ),
            );
            self::assertGreaterThanOrEqual(
                $longest,
                (float) ($document->documentElement?->getAttribute('width') ?? 0),
                'one to one',
            );
        }
    }

    public function test_patterns_are_shown_by_picture_and_own_ones_kept(): void
    {
        $this->actingAs($this->maker);
        $gallery = (string) $this->get('/patterns')->assertOk()->assertDontSee('Your own')->getContent();
        foreach (Patterns::all() as $name => $pattern) {
            self::assertStringContainsString('id="pattern-'.$name.'"', $gallery);
            self::assertStringContainsString(e($pattern->words), $gallery);
        }
        $piece = $this->piece('hoop');
        $this->change($piece, ['do' => 'name', 'name' => 'Grey hoops']);
        $this->post("/pieces/{$piece->ulid}/keep")->assertRedirect('/patterns');
        $this->get('/patterns')->assertSee('Your own')->assertSee('Grey hoops');
        $pattern = Piece::query()->where('is_pattern', true)->sole();
        // A pattern is not among the pieces, and what is started from it is a piece of its own.
        self::assertSame(1, substr_count((string) $this->get('/pieces')->getContent(), '<strong>Grey hoops</strong>'));
        $this->post('/pieces', ['name' => '', 'pattern' => $pattern->ulid])->assertRedirect();
        $begun = Piece::query()->latest('id')->firstOrFail();
        self::assertSame([$pattern->json(), false], [$begun->json(), $begun->is_pattern]);
        $this->post('/pieces', ['name' => 'Mine', 'pattern' => $pattern->ulid]);
        self::assertSame('Mine', Piece::query()->latest('id')->firstOrFail()->name);
        $this->delete("/pieces/{$pattern->ulid}")->assertRedirect('/patterns');
        $this->get('/patterns')->assertSee('Grey hoops is no longer a pattern.');
        $this->post("/pieces/{$pattern->ulid}/restore")->assertRedirect('/patterns');
        $this->post(
            '/pieces',
            ['name' => '', 'pattern' => 'no-such'],
        )->assertStatus(422)->assertSee('is not known here');
    }

    public function test_a_bad_import_changes_nothing_and_says_where(): void
    {
        $document = json_decode($this->piece()->json(), true);
        $document['parts'][1]['settings']['top_wraps'] = -4;
        $this->actingAs($this->maker)->post(
            '/pieces/import',
            ['file' => UploadedFile::fake()->createWithContent('bad.json', (string) json_encode($document))],
        )
            ->assertStatus(422)->assertSee('Parts 1 settings top wraps −4 is out of range: give 0 to 20.');
        $this->post(
            '/pieces/import',
            ['file' => UploadedFile::fake()->createWithContent('bad.json', 'not json')],
        )->assertStatus(422)->assertSee('This is not JSON');
        $this->post('/pieces/import', [])->assertStatus(422)->assertSee('No file came');
        self::assertSame(1, Piece::query()->count());
    }

    public function test_a_piece_is_copied_put_away_and_taken_back(): void
    {
        $piece = $this->piece();
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/copy")->assertRedirect();
        self::assertSame('Test drops, copy', Piece::query()->latest('id')->firstOrFail()->name);
        $this->delete("/pieces/{$piece->ulid}")->assertRedirect('/pieces');
        $this->get('/pieces')->assertSee('Test drops is put away.');
        $this->get("/pieces/{$piece->ulid}/lay-out")->assertNotFound();
        $this->post("/pieces/{$piece->ulid}/restore")->assertRedirect("/pieces/{$piece->ulid}/lay-out");
        $this->get("/pieces/{$piece->ulid}/lay-out")->assertOk();
    }

    public function test_markup_in_names_is_text(): void
    {
        $piece = $this->piece();
        $this->change(
            $piece,
            ['do' => 'name', 'name' => '<script>alert(1)</script>'],
        )->assertOk()->assertDontSee('<script>alert(1)', false);
        $this->change(
            $piece,
            ['do' => 'bead.add', 'part' => 'p2', 'bead' => '<b>x</b>: 6mm round'],
        )->assertDontSee('<b>x</b>', false);
        $this->get('/pieces')->assertDontSee('<script>alert(1)', false);
    }

    /** What was typed stays in its field, however long, and nothing saved is touched. */
    public function test_a_course_that_cannot_be_read_is_refused_at_its_field(): void
    {
        $piece = $this->piece('meander');
        $typed = str_repeat('straight 2 · ', 20).'jump 3';
        $answer = $this->change(
            $piece, ['do' => 'part.set', 'part' => 'p2', 'key' => 'course', 'value' => $typed, 'open' => 'p2'],
        );
        $answer->assertStatus(422)->assertSee('“jump 3”')->assertSee($typed)->assertSee('aria-invalid="true"', false);
        self::assertSame($piece->revision, $piece->refresh()->revision);
    }

    /** A link becomes a free wire that can be told on; what does not come out the same stays, with a sentence. */
    public function test_a_part_is_opened_into_its_wires(): void
    {
        $piece = $this->piece('link-and-drop');
        $open = fn (string $ulid, string $part) => $this->actingAs($this->maker)->post(
            "/pieces/{$ulid}/changes",
            [
                'do' => 'part.open', 'part' => $part,
                'revision' => Piece::query()->where('ulid', $ulid)->value('revision'),
            ],
            ['HX-Request' => 'true'],
        );
        $open($piece->ulid, 'p2')->assertOk()->assertSee('through A')->assertSee('wrapped 3 as bottom');
        $part = $piece->refresh()->document()->part(PartId::of('p2'));
        self::assertSame('free-wire', $part->technique);
        self::assertSame('link', $part->wire);
        self::assertNotSame([], $part->beads);
        $this->actingAs($this->maker)->post(
            "/pieces/{$piece->ulid}/undo", ['revision' => $piece->revision],
        )->assertRedirect();
        $undone = Piece::query()->where('ulid', $piece->ulid)->firstOrFail();
        self::assertSame('wrapped-link', $undone->document()->part(PartId::of('p2'))->technique);

        $disc = $this->piece('disc');
        $open($disc->ulid, 'p2')->assertOk()->assertSee('taking');
        self::assertSame('free-wire', $disc->refresh()->document()->part(PartId::of('p2'))->technique);
        $strand = $this->piece('strand');
        $open($strand->ulid, 'p2')->assertStatus(422)->assertSee('strung and crimped');
        self::assertSame('strand', $strand->refresh()->document()->part(PartId::of('p2'))->technique);
        $open($disc->ulid, 'p77')->assertStatus(422);
    }

    public function test_pieces_are_found_by_what_they_are_of_and_how_long_they_hang(): void
    {
        $this->actingAs($this->maker);
        foreach (['single-drop' => 'Gull', 'hoop' => 'Tern', 'linked-bracelet' => 'Auk'] as $pattern => $name) {
            $this->post('/pieces', ['name' => $name, 'pattern' => $pattern])->assertRedirect();
        }
        $found = function (string $line): array {
            $wall = new PiecesWall($this->maker->workshop, $line);
            $names = [];
            foreach (array_merge(...array_values($wall->rails)) as $card) {
                $names = $wall->finds($card) ? [...$names, $card->piece->name] : $names;
            }
            sort($names);
            self::assertSame(count($names), $wall->found);

            return $names;
        };
        self::assertSame(['Auk', 'Gull', 'Tern'], $found(''));
        self::assertSame(['Gull'], $found('gull'));
        self::assertSame(['Gull'], $found('moss drop'));
        self::assertSame(['Tern'], $found('hoops'));
        self::assertSame(['Gull', 'Tern'], $found('earring'));
        $gull = PieceCard::all($this->maker->workshop)[2]->seen->hangsMm();
        self::assertContains('Gull', $found('under '.ceil($gull).' mm'));
        self::assertNotContains('Gull', $found('under '.floor($gull - 1).' mm'));
        self::assertNotContains('Gull', $found('over '.ceil($gull + 1).' mm'));
        self::assertSame([], $found('no such thing'));
        $this->get('/pieces?line=gull')->assertOk()->assertSee('1 of 3 found')->assertSee('Tern');
        $this->get('/pieces?line='.str_repeat('x', 200))->assertOk()->assertSee('0 of 3 found');
        $this->get('/pieces?line[]=x')->assertStatus(422);
    }
}

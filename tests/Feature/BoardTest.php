<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\View\Desk;
use App\View\Measures;
use App\View\Pulls;
use App\View\Well;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tool\Tool;
use Hebra\Core\Tool\ToolBox;
use Hebra\Core\Tool\ToolKind;
use ReflectionClassConstant;
use Tests\TestCase;

/** What the board says of a drawing holds of every pattern: its gaps, its rings, what its measures run to. */
final class BoardTest extends TestCase
{
    /** Settings that no pattern shows are asked for: what a foot ends in, and how a ring is held. */
    private const MORE = [
        'single-drop' => [['stop', 'ball'], ['stop', 'paddle']],
    ];

    /** @return iterable<string, array{Piece, PartId}> every part of every pattern, chosen */
    private function parts(): iterable
    {
        foreach (self::MORE as $pattern => $settings) {
            foreach ($settings as [$key, $value]) {
                $piece = $this->piece($pattern);
                $this->change(
                    $piece, ['do' => 'part.set', 'part' => 'p2', 'key' => $key, 'value' => $value],
                )->assertOk();
                yield "{$pattern}, {$value}" => [Piece::query()->findOrFail($piece->id), PartId::of('p2')];
            }
        }
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = $this->piece($pattern);
            foreach ($piece->document()->parts as $part) {
                yield "{$pattern}, {$part->id}" => [$piece, $part->id];
            }
        }
    }

    private function desk(Piece $piece, ?PartId $open = null, ?int $run = null): Desk
    {
        return new Desk($piece, $this->workshop(), 'lay-out', $open, $run);
    }

    /** A bead put into a gap stands at that place of its line; the gap lies within the drawing. */
    public function test_what_is_put_into_a_gap_stands_there(): void
    {
        $put = 0;
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = $this->piece($pattern);
            $desk = $this->desk($piece);
            foreach ($desk->board()->gaps() as [$part, $at, $x, $y]) {
                self::assertTrue(
                    $x >= 0 && $x <= $desk->drawing->width && $y >= 0 && $y <= $desk->drawing->height, $pattern,
                );
                try {
                    $after = ChangeReader::read(
                        [
                            'do' => 'bead.add', 'part' => $part, 'at' => (string) $at,
                            'bead' => '3.7mm round, hole 1.3, ink',
                        ],
                    )->apply($piece->document());
                } catch (Problem $problem) {
                    self::fail("{$pattern}, {$part} at {$at}: {$problem->getMessage()}");
                }
                $run = $after->part(PartId::of($part))->beads[$at];
                self::assertSame(
                    'ink 3.7 mm round', $after->beads[$run->bead]->words(), "{$pattern}, {$part} at {$at}",
                );
                $put++;
            }
        }
        self::assertGreaterThan(150, $put);
    }

    /** Chosen beads are ringed wherever any of them is drawn. */
    public function test_chosen_beads_are_ringed(): void
    {
        $ringed = 0;
        foreach ($this->parts() as $name => [$piece, $id]) {
            foreach (array_keys($piece->document()->part($id)->beads) as $run) {
                $board = $this->desk($piece, $id, $run)->board();
                $ringed += $board->ringed() === [] ? 0 : 1;
                foreach ($board->ringed() as [, , $wide, $high]) {
                    self::assertTrue($wide > 0 && $high > 0, $name);
                }
            }
        }
        self::assertGreaterThan(200, $ringed);
    }

    /** Every stretch that a setting is looked for at is drawn in some pattern, and no setting is told twice. */
    public function test_measures_run_to_what_is_drawn(): void
    {
        /** @var array<string, list<string>> $looked */
        $looked = (new ReflectionClassConstant(Measures::class, 'OF'))->getValue();
        $found = [];
        foreach ($this->parts() as $name => [$piece, $id]) {
            $desk = $this->desk($piece, $id);
            $part = $piece->document()->part($id);
            $keys = [];
            foreach ($desk->board()->beside($part) as [$parameter, $at]) {
                if ($parameter === null) {
                    continue;
                }
                $keys[] = $parameter->key;
                self::assertContains($parameter->kind, [ParameterKind::Length, ParameterKind::Count], $name);
                self::assertStringStartsWith("{$id}:", $at[2] ?? '', $name);
                $found[$parameter->key][explode(':', $at[2] ?? '')[1]] = true;
            }
            self::assertSame(array_unique($keys), $keys, $name);
        }
        foreach ($looked as $key => $names) {
            self::assertSame(
                [], array_values(array_diff($names, array_keys($found[$key] ?? []))), "{$key}: drawn in no pattern",
            );
        }
    }

    /** Fields beside the drawing stand in the order in which what they measure lies there. */
    public function test_measures_stand_from_the_top_down(): void
    {
        foreach ($this->parts() as $name => [$piece, $id]) {
            $heights = array_map(
                fn (array $one): float => $one[1][1] ?? 0.0,
                $this->desk($piece, $id)->board()->beside($piece->document()->part($id)),
            );
            $sorted = $heights;
            sort($sorted);
            self::assertSame($sorted, $heights, $name);
        }
    }

    /** The demo owns 0 of a bead it has never seen; what does not pass says so and keeps its place. */
    public function test_the_tray_says_what_is_left_and_what_does_not_pass(): void
    {
        $piece = $this->piece('link-and-drop');
        $own = $this->workshop()->beads()->make();
        $own->forceFill([
            'name' => 'Pea', 'shape' => 'round', 'length_um' => 8000, 'width_um' => 8000, 'hole_um' => 1000,
            'drilling' => 'lengthwise',
            'material' => 'glass', 'colour' => 'moss', 'owned' => 5,
        ])->save();
        $this->change($piece, ['do' => 'bead.add', 'part' => 'p2', 'bead' => '4mm round, hole 0.3']);
        $now = Piece::query()->findOrFail($piece->id);
        $wells = $this->desk($now, PartId::of('p2'))->board()->wells($now->document()->part(PartId::of('p2')));
        $of = fn (string $words): Well => array_values(
            array_filter($wells, fn (Well $well): bool => $well->words() === $words)
        )[0];
        self::assertSame([5, 3], [$of('Pea')->owned, $of('Pea')->left], 'a pair takes two');
        self::assertSame('hole too small', $of('4 mm round')->why);
        self::assertSame('', $of('Pea')->why);
    }

    /** The figures tell what they were where the change moved them, and nothing where it did not. */
    public function test_figures_tell_what_changed(): void
    {
        $piece = $this->piece('link-and-drop');
        $before = $this->desk($piece);
        $this->change($piece, ['do' => 'bead.count', 'part' => 'p2', 'at' => '0', 'by' => '1'])->assertOk();
        $now = Piece::query()->findOrFail($piece->id);
        $after = $this->desk($now);
        $after->was = array_map(floatval(...), explode(' ', $before->shown()));
        foreach ($after->board()->figures() as $words => [$was, $is]) {
            self::assertNotSame('', $was, $words);
            self::assertNotSame($was, $is, $words);
        }
        $again = $this->desk($now);
        $again->was = array_map(floatval(...), explode(' ', $after->shown()));
        self::assertSame(['', '', ''], array_column(array_values($again->board()->figures()), 0));
    }

    /** While it is pulled nothing is kept: drawing, figures and price as they would be, and what would stop it. */
    public function test_a_change_is_tried_without_being_kept(): void
    {
        $piece = $this->piece('framed-drop');
        $tried = fn (string $key, string $value, int $revision = 1) => $this->actingAs($this->maker)->getJson(
            "/pieces/{$piece->ulid}/tried?".http_build_query([
                'do' => 'part.set', 'part' => 'p2', 'key' => $key, 'value' => $value, 'revision' => $revision,
                'open' => 'p2',
                'hung' => '52 522.5 2.75',
            ]),
        );
        $answer = $tried('size', '40 mm', $piece->revision)->assertOk();
        self::assertStringContainsString('<svg', $answer->json('drawing'));
        self::assertStringContainsString('<s>52 mm</s>', $answer->json('figures'));
        self::assertMatchesRegularExpression('/price.*\d+\.\d\d/s', $answer->json('figures'));
        self::assertSame('', $answer->json('stop'));
        self::assertArrayHasKey('size', $answer->json('places'));
        self::assertStringContainsString(
            'too many', $tried('size', '10 mm', $piece->revision)->assertOk()->json('stop'),
        );
        $tried('size', '1 mm', $piece->revision)->assertStatus(422);
        $tried('size', '40 mm', 77)->assertStatus(422);
        self::assertSame($piece->revision, Piece::query()->findOrFail($piece->id)->revision);
        self::assertSame(34.0, Piece::query()->findOrFail($piece->id)->document()->parts[1]->mm('size'));
    }

    /**
     * Marks of the maker’s pliers are steps of a loop, those of the ruler of what they do not reach; counts by ones.
     */
    public function test_measures_step_along_the_makers_tools(): void
    {
        $profile = new Profile(
            tools: new ToolBox([Tool::of(ToolKind::RoundNose, 'Fine pliers', [1.5, 2.0, 2.45, 3.0])])
        );
        $part = Patterns::start('link-and-drop', 'Steps')->parts[1];
        $steps = fn (string $key): array => Pulls::of(
            array_values(array_filter($part->technique()->parameters(), fn ($one): bool => $one->key === $key))[0],
            $part, $profile,
        );
        self::assertSame(
            [['1.5 mm', 'mark 1'], ['2 mm', 'mark 2'], ['2.45 mm', 'mark 3'], ['2.5 mm', ''], ['3 mm', 'mark 4']],
            $steps('top_inside'),
        );
        self::assertSame(['0', ''], $steps('top_wraps')[0]);
        self::assertContains(['10.5 mm', ''], $steps('tail'));
    }

    /** What is wrong stands by what it is about, with its ways out; what is fine is counted and folded away. */
    public function test_what_is_wrong_is_flagged_where_it_is(): void
    {
        $piece = $this->piece('link-and-drop');
        $change = ['do' => 'bead.edit', 'bead' => 'b3', 'hole' => '0.3', 'revision' => (string) $piece->revision];
        $this->actingAs($this->maker)->post("/pieces/{$piece->ulid}/changes", $change)->assertRedirect();
        $page = $this->get("/pieces/{$piece->ulid}/lay-out")->assertOk();
        self::assertMatchesRegularExpression(
            '/class="flag is-stop"\s+data-at="[\d. ]+"/', (string) $page->getContent(),
        );
        $page->assertSee('does not pass the slate')->assertSee('checks fine');
    }

    /**
     * A tape beside what fits: 198.5 mm of a bracelet for a wrist that asks for 208, and the way out puts it in the
     * band.
     */
    public function test_a_chain_lies_on_a_tape_beside_what_fits(): void
    {
        $piece = $this->piece('linked-bracelet');
        $page = $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/lay-out")->assertOk();
        $page->assertSee('class="tape-now"', false)->assertSee('too short')->assertSee('would fit');
        $desk = new Desk($piece, $this->workshop(), 'lay-out');
        $tape = $desk->board()->tape();
        self::assertNotNull($tape);
        [$fits, $wide] = $tape->fits();
        $isWithin = fn (float $x): bool => $x >= $fits && $x <= $fits + $wide;
        self::assertFalse($isWithin($tape->x($tape->reach->hasMm)));
        self::assertEqualsWithDelta($fits + $wide / 2, $tape->x($tape->reach->wantsMm), 0.2);
        $change = $tape->check?->ways[0]->change ?? throw new \LogicException('No way out.');
        $after = new Desk($piece, $this->workshop(), 'lay-out', instead: $change->apply($piece->document()));
        $after->was = [$desk->plan->hangsMm()];
        $then = $after->board()->tape();
        self::assertNotNull($then);
        [$fits, $wide] = $then->fits();
        self::assertTrue(
            $isWithin($then->x($then->reach->hasMm)) || abs($then->reach->offMm()) <= $then->reach->toleranceMm()
        );
        self::assertSame($desk->plan->hangsMm(), $then->wasMm);
        self::assertNull((new Desk($this->piece('single-drop'), $this->workshop(), 'lay-out'))->board()->tape());
    }

    public function test_a_bead_is_swapped_here_or_in_all_places(): void
    {
        $piece = $this->piece('linked-bracelet');
        $part = array_values(array_filter($piece->document()->parts, fn ($part): bool => $part->beads !== []))[0];
        $key = $part->beads[0]->bead;
        $places = fn ($document, string $bead): int => array_sum(array_map(
            fn ($part): int => count(array_filter($part->beads, fn ($run): bool => $run->bead === $bead)),
            $document->parts,
        ));
        self::assertGreaterThan(1, $all = $places($piece->document(), $key));
        $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/lay-out?open={$part->id}&run=0")
            ->assertSee("in all {$all} places");
        $swap = ['do' => 'bead.swap', 'part' => $part->id->text, 'at' => 0, 'bead' => '5mm round, hole 2, plum'];
        $this->change($piece, $swap)->assertOk();
        self::assertSame($all - 1, $places($piece->refresh()->document(), $key));
        $this->change($piece, [...$swap, 'at' => 0, 'bead' => '4mm round, hole 2, rose'])->assertOk();
        $this->post("/pieces/{$piece->ulid}/undo", ['revision' => $piece->refresh()->revision, 'stage' => 'lay-out']);
        $this->post(
            "/pieces/{$piece->ulid}/undo", ['revision' => $piece->refresh()->revision, 'stage' => 'lay-out'],
        );
        $this->change($piece->refresh(), [...$swap, 'all' => '1'])->assertOk();
        self::assertSame(0, $places($piece->refresh()->document(), $key));
    }

    /** Ticked in boxes beside the beads, as a form without scripts sends them. */
    public function test_several_are_changed_by_their_boxes(): void
    {
        $piece = $this->piece('link-and-drop');
        $url = "/pieces/{$piece->ulid}";
        $page = $this->actingAs($this->maker)->get("{$url}/lay-out")->assertOk();
        $page->assertSee('name="chosen[]" value="p2/0"', false)->assertSee('value="beads.copy"', false);
        $send = fn (array $fields) => $this->post("{$url}/changes", [
            'revision' => $piece->refresh()->revision, 'stage' => 'lay-out', ...$fields,
        ]);
        $before = $piece->document()->parts[1]->beads;
        $send(['do' => 'beads.copy', 'chosen' => ['p2/0', 'p3/0']])->assertRedirect();
        $parts = $piece->refresh()->document()->parts;
        self::assertGreaterThan(
            array_sum(array_column($before, 'count')), array_sum(array_column($parts[1]->beads, 'count')),
        );
        $send(['do' => 'beads.colour', 'colour' => 'plum', 'chosen' => 'p2/0'])->assertRedirect();
        $document = $piece->refresh()->document();
        self::assertSame('plum', $document->beads[$document->parts[1]->beads[0]->bead]->colour);
        foreach ([['p2/77'], ['nothing'], [], [['p2/0']], 'p2/0 p2/x'] as $chosen) {
            $revision = $piece->refresh()->revision;
            $send(['do' => 'beads.remove', 'chosen' => $chosen])->assertStatus(422);
            self::assertSame($revision, $piece->refresh()->revision);
        }
        $send(['do' => 'beads.colour', 'colour' => 'ultraviolet', 'chosen' => 'p2/0'])->assertStatus(422);
    }
}

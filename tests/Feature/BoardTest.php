<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Piece;
use App\View\Desk;
use App\View\Measures;
use App\View\Well;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Problem;
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
                $this->change($piece, ['do' => 'part.set', 'part' => 'p2', 'key' => $key, 'value' => $value])->assertOk();
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
                self::assertTrue($x >= 0 && $x <= $desk->drawing->width && $y >= 0 && $y <= $desk->drawing->height, $pattern);
                try {
                    $after = ChangeReader::read(
                        ['do' => 'bead.add', 'part' => $part, 'at' => (string) $at, 'bead' => '3.7mm round, hole 1.3, ink'],
                    )->apply($piece->document());
                } catch (Problem $problem) {
                    self::fail("{$pattern}, {$part} at {$at}: {$problem->getMessage()}");
                }
                $run = $after->part(PartId::of($part))->beads[$at];
                self::assertSame('ink 3.7 mm round', $after->beads[$run->bead]->words(), "{$pattern}, {$part} at {$at}");
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
            self::assertSame([], array_values(array_diff($names, array_keys($found[$key] ?? []))), "{$key}: drawn in no pattern");
        }
    }

    /** Fields beside the drawing stand in the order in which what they measure lies there. */
    public function test_measures_stand_from_the_top_down(): void
    {
        foreach ($this->parts() as $name => [$piece, $id]) {
            $heights = array_map(
                fn (array $one): float => $one[1][1] ?? 0.0, $this->desk($piece, $id)->board()->beside($piece->document()->part($id)),
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
            'name' => 'Pea', 'shape' => 'round', 'length_um' => 8000, 'width_um' => 8000, 'hole_um' => 1000, 'drilling' => 'lengthwise',
            'material' => 'glass', 'colour' => 'moss', 'owned' => 5,
        ])->save();
        $this->change($piece, ['do' => 'bead.add', 'part' => 'p2', 'bead' => '4mm round, hole 0.3']);
        $now = Piece::query()->findOrFail($piece->id);
        $wells = $this->desk($now, PartId::of('p2'))->board()->wells($now->document()->part(PartId::of('p2')));
        $of = fn (string $words): Well => array_values(array_filter($wells, fn (Well $well): bool => $well->words() === $words))[0];
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
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class PieceTest extends TestCase
{
    public function test_every_pattern_is_complete_from_the_start(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $piece = Patterns::start($pattern, 'New');
            self::assertGreaterThanOrEqual(1, count($piece->parts));
            self::assertSame(PieceJson::write($piece), PieceJson::write(PieceJson::read(PieceJson::write($piece))));
        }
    }

    public function test_beads_are_added_counted_moved_mirrored_swapped_and_taken_off(): void
    {
        $piece = Some::drop();
        $words = fn (Piece $piece, int $part = 1): string => implode(
            ' ',
            array_map(fn ($run): string => $run->count.$run->bead, $piece->parts[$part]->beads),
        );
        self::assertSame('1b1 1b2', $words($piece));
        self::assertSame(
            '1b1 1b2 1b4',
            $words(
                $piece = Some::changed($piece, ['do' => 'bead.add', 'part' => 'p2', 'bead' => '3mm round, hole 0.8']),
            ),
        );
        self::assertSame(
            '2b1 1b2 1b4',
            $words($piece = Some::changed($piece, ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'by' => 1])),
        );
        self::assertSame(
            '2b1 1b4 1b2',
            $words($piece = Some::changed($piece, ['do' => 'bead.move', 'part' => 'p2', 'at' => 1, 'by' => 1])),
        );
        self::assertSame('2b1 1b4 1b2 1b4 2b1', $words(Some::changed($piece, ['do' => 'bead.mirror', 'part' => 'p2'])));
        self::assertSame(
            '2b1 1b3 1b2',
            $words(Some::changed($piece, ['do' => 'bead.swap', 'part' => 'p2', 'at' => 1, 'bead' => 'b3'])),
        );
        self::assertSame('1b4 1b2', $words(Some::changed($piece, ['do' => 'bead.remove', 'part' => 'p2', 'at' => 0])));
        $on = Some::changed($piece, ['do' => 'bead.move', 'part' => 'p2', 'at' => 2, 'by' => 1]);
        self::assertSame(
            ['2b1 1b4', '1b2 1b3'],
            [$words($on), $words($on, 2)],
            'past the end of its wire a bead goes on to the next part',
        );
        self::assertSame(
            '1b4 1b2',
            $words(
                Some::changed(
                    $piece,
                    ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'by' => -1],
                    ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'by' => -1],
                ),
            ),
            'one fewer than one takes it off',
        );
    }

    public function test_a_bead_no_part_uses_is_dropped(): void
    {
        $piece = Some::changed(Some::drop(), ['do' => 'bead.remove', 'part' => 'p3', 'at' => 0]);
        self::assertSame(['b1', 'b2'], array_keys($piece->beads));
    }

    public function test_a_new_link_goes_above_the_drop_and_a_new_part_brings_its_wire(): void
    {
        $piece = Some::changed(
            Patterns::start('single-drop', 'One'),
            ['do' => 'part.add', 'technique' => 'wrapped-link'],
        );
        self::assertSame(
            ['ear-wire', 'wrapped-link', 'head-pin'],
            array_map(fn ($part): string => $part->technique, $piece->parts),
        );
        self::assertSame('22 awg', $piece->wires['link']->size->code());
    }

    /** @return array<string, array{array<string, mixed>, string, string}> change, field, sentence */
    public static function refusedChanges(): array
    {
        return [
            'a negative wrap count' => [
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '-1'], 'top wraps',
                'Top wraps −1 is out of range: give 0 to 20.',
            ],
            'a loop of nothing' => [
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_inside', 'value' => '0'], 'top loop, inside',
                'Top loop, inside 0 mm is out of range: give 0.8 mm to 30 mm.',
            ],
            'a loop that is a word' => [
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_inside', 'value' => 'banana'], 'top loop, inside',
                'Top loop, inside “banana” is not a length',
            ],
            'a loop without end' => [
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_inside', 'value' => '1e309'], 'top loop, inside',
                'is not a length',
            ],
            'a setting it does not have' => [
                ['do' => 'part.set', 'part' => 'p2', 'key' => 'colour', 'value' => 'x'], 'settings',
                'Settings has “colour”, which is not known here',
            ],
            'a part that is gone' => [
                ['do' => 'part.remove', 'part' => 'p9'], 'part', 'Part “p9” is not in this piece',
            ],
            'beads on an ear wire' => [
                ['do' => 'bead.add', 'part' => 'p1', 'bead' => '6mm round'], 'bead', 'The ear wire takes no beads',
            ],
            'a bead that is not there' => [
                ['do' => 'bead.add', 'part' => 'p2', 'bead' => 'b77'], 'bead', 'Bead “b77” is not in this piece',
            ],
            'an empty place' => [
                ['do' => 'bead.count', 'part' => 'p2', 'at' => 7, 'by' => 1], 'run',
                'There are no beads at place 8 of this part',
            ],
            'too many parts' => [
                ['do' => 'part.repeat', 'part' => 'p2', 'count' => '1999'], 'parts',
                'Parts would come to 2001 parts: a piece holds at most 2000.',
            ],
            'too many beads' => [
                ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'count' => '1999'], 'beads',
                'Beads would come to 2001 beads: a piece holds at most 2000.',
            ],
            'a whole wire size' => [
                ['do' => 'wire', 'role' => 'link', 'size' => '22'], 'size',
                'Size “22” could be 22awg, 22swg or 22mm',
            ],
            'a wire it has not' => [
                ['do' => 'wire', 'role' => 'core', 'size' => '22awg'], 'role',
                'Wire “core” is not among the wires of this piece',
            ],
            'a nameless piece' => [['do' => 'name', 'name' => '   '], 'name', 'Name is empty'],
            'a list for a word' => [['do' => 'name', 'name' => ['a']], 'name', 'Name is a list: give text.'],
            'no change at all' => [[], 'do', 'Do is missing: give text.'],
            'an unknown change' => [
                ['do' => 'explode'], 'do', 'Change “explode” is not known here: give one of all, name, note, makes',
            ],
            'an unknown metal' => [
                ['do' => 'wire', 'role' => 'link', 'metal' => 'cheese'], 'metal',
                'Metal “cheese” is not known here: give one of fine-silver, sterling',
            ],
            'a batch of none' => [[
                'do' => 'makes', 'kind' => 'batch', 'count' => '0',
            ], 'count', 'Count 0 is out of range: give 1 to 200.'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('refusedChanges')]
    public function test_a_refused_change_leaves_the_piece_as_it_was(
        array $change,
        string $field,
        string $sentence,
    ): void {
        $piece = Some::drop();
        $before = PieceJson::write($piece);
        try {
            ChangeReader::read($change)->apply($piece);
            self::fail('It was taken.');
        } catch (Problem $problem) {
            self::assertSame($field, $problem->field());
            self::assertStringContainsString($sentence, $problem->getMessage());
        }
        self::assertSame($before, PieceJson::write($piece));
    }

    public function test_two_thousand_parts_are_still_a_piece(): void
    {
        $piece = Some::changed(
            Patterns::start('single-drop', 'Long'),
            ['do' => 'part.add', 'technique' => 'wrapped-link'],
            ['do' => 'part.repeat', 'part' => 'p3', 'count' => '1998'],
        );
        self::assertSame(2000, array_sum(array_map(fn ($part): int => $part->repeat, $piece->parts)));
    }

    /**
     * Small words may ask for much: it is said before any of it is drawn. What is let through is drawn with no more
     * strokes than it was weighed with.
     */
    #[Group('wide')]
    public function test_more_than_a_page_can_bear_is_refused_before_it_is_drawn(): void
    {
        $chain = Some::changed(
            Patterns::start('single-drop', 'Long'),
            ['do' => 'part.add', 'technique' => 'chain'],
            ['do' => 'part.set', 'part' => 'p3', 'key' => 'links', 'value' => '1000'],
        );
        $before = memory_get_usage();
        try {
            Some::changed($chain, ['do' => 'part.repeat', 'part' => 'p3', 'count' => '1990']);
            self::fail('It was taken.');
        } catch (Problem $problem) {
            self::assertStringContainsString('strokes to draw', $problem->getMessage());
        }
        self::assertLessThan(2_000_000, memory_get_usage() - $before);
        foreach (Everything::pieces(60) as $name => $piece) {
            $weighed = array_sum(
                array_map(
                    fn (Part $part): int => $piece->times($part) * $part->technique()->heft($part), $piece->parts,
                ),
            );
            $drawn = count(Planner::plan($piece, new Profile)->figure()->strokes);
            self::assertLessThanOrEqual(6 * $weighed + 40, $drawn, $name);
        }
    }

    /** What was written before sections and bought parts says the same today, and is written as of today. */
    public function test_a_document_of_version_one_is_read_as_it_stands(): void
    {
        foreach (Everything::patterns() as $name => $piece) {
            $old = ['version' => 1] + PieceJson::toArray($piece);
            self::assertEquals($piece, PieceJson::fromArray(json_decode((string) json_encode($old), true)), $name);
        }
        self::assertStringContainsString('"version":2', PieceJson::write(Patterns::start('single-drop', 'New')));
    }

    /** @return array<string, array{callable(array<string, mixed>): mixed, string, string}> */
    public static function brokenDocuments(): array
    {
        $with = fn (string $path, mixed $value): \Closure => function (array $document) use ($path, $value): array {
            $at = &$document;
            foreach (explode('.', $path) as $key) {
                $at = &$at[$key];
            }
            $at = $value;

            return $document;
        };

        return [
            'a name that is a number' => [$with('name', 5), 'name', 'Name is the number 5: give text.'],
            'parts that are an object' => [$with('parts', ['a' => 1]), 'parts', 'Parts is an object: give a list.'],
            'a part that is text' => [
                $with('parts.1', 'x'), 'parts.1', 'Parts 1 is the text “x”: give an object with named values.',
            ],
            'wraps that are text' => [
                $with('parts.1.settings.top_wraps', '3'), 'parts.1.settings.top_wraps',
                'Parts 1 settings top wraps is the text “3”: give a whole number.',
            ],
            'wraps that are half' => [
                $with('parts.1.settings.top_wraps', 2.5), 'parts.1.settings.top_wraps',
                'is the number 2.5: give a whole number.',
            ],
            'a flag that is a number' => [
                $with('parts.1.settings.turned', 1), 'parts.1.settings.turned', 'is the number 1: give true or false.',
            ],
            'a repeat of nothing' => [
                $with('parts.1.repeat', 0), 'parts.1.repeat', 'Parts 1 repeat 0 is out of range: give 1 to 2000.',
            ],
            'a repeat beyond all' => [
                $with('parts.1.repeat', 3000), 'parts.1.repeat', 'is out of range: give 1 to 2000.',
            ],
            'a bead without a hole' => [
                $with('beads.b1.hole_mm', 0), 'beads.b1 hole', 'Beads b1 hole 0 mm is not a size',
            ],
            'a bead of null length' => [
                $with('beads.b1.length_mm', null), 'beads.b1.length_mm', 'is missing: give a number.',
            ],
            'a bead nobody knows' => [
                $with('parts.1.beads.0.bead', 'b9'), 'parts.1.beads', 'Bead “b9” is not in this piece',
            ],
            'the same id twice' => [$with('parts.2.id', 'p2'), 'parts.2.id', 'Parts 2 id “p2” stands there twice'],
            'markup for an id' => [
                $with('parts.2.id', '<b>'), 'parts.2.id', 'is not an id: give 1 to 24 letters, digits or hyphens.',
            ],
            'an unknown technique' => [$with('parts.1.technique', 'weld'), 'parts.1.technique', 'Parts 1 technique '
                .'“weld” is not a technique here: give one of ear-wire, wrapped-link, head-pin, plain-link, hoop,'],
            'an unknown key' => [$with('parts.1.glue', true), 'parts.1', 'Parts 1 has “glue”, which is not known here'],
            'another version' => [$with('version', 3), 'version', 'Version 3 is not known here: give version 1 or 2.'],
            'something else altogether' => [fn (): array => ['a' => 1], 'hebra', 'The document says it is missing'],
            'a bare number' => [
                fn (): int => 7, 'document', 'Document is the number 7: give an object with named values.',
            ],
            'a size that is a number' => [
                $with('wires.link.size', 22), 'wires.link.size', 'Wires link size is the number 22: give text.',
            ],
        ];
    }

    /** @param  callable(array<string, mixed>): mixed  $break */
    #[DataProvider('brokenDocuments')]
    public function test_a_broken_document_is_refused_with_its_place(
        callable $break,
        string $field,
        string $sentence,
    ): void {
        $document = json_decode(PieceJson::write(Some::drop()), true);
        try {
            PieceJson::read((string) json_encode($break($document)));
            self::fail('It was read.');
        } catch (Problem $problem) {
            self::assertSame($field, $problem->field());
            self::assertStringContainsString($sentence, $problem->getMessage());
        }
    }

    public function test_what_is_no_json_is_refused(): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessage('This is not JSON (syntax error): give a piece that Hebra exported.');
        PieceJson::read('{');
    }

    /** Whatever is done to a piece, it stays one: it writes, reads back the same, and never exceeds its limits. */
    public function test_random_changes_keep_a_piece_valid(): void
    {
        mt_srand(20);
        for ($run = 0; $run < 40; $run++) {
            $piece = Some::drop();
            for ($step = 0; $step < 40; $step++) {
                try {
                    $piece = Some::randomChange($piece)->apply($piece);
                } catch (Problem $problem) {
                    self::assertNotSame('', $problem->getMessage());
                }
            }
            $json = PieceJson::write($piece);
            self::assertSame($json, PieceJson::write(PieceJson::read($json)));
        }
    }
}

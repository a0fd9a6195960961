<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change\CarryBead;
use Hebra\Core\Piece\Change\ExchangeBeads;
use Hebra\Core\Piece\Change\MoveBead;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Technique\Techniques;
use Hebra\Core\Wire\Metal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** What a maker types and presses while laying out: counts in a line, parts where she looks, beads that stay chosen. */
final class EnteringTest extends TestCase
{
    /** @return array<string, array{string, int, string}> */
    public static function lines(): array
    {
        return [
            'chips by their count' => ['15 × 5mm chip, hole 0.8', 15, 'sea 5 × 2.5 mm chip'],
            'bicones by their count' => ['22 x 4mm bicone', 22, 'sea 4 mm bicone'],
            'count and two sizes' => ['12 × 6x4mm rondelle, moss', 12, 'moss 6 × 4 mm rondelle'],
            'seeds' => ['30 × 11/0 rust', 30, 'rust 2.1 × 1.5 mm seed'],
            'a seed size alone' => ['11/0', 1, 'sea 2.1 × 1.5 mm seed'],
            'a colour between' => ['3 sky 4mm round', 3, 'sky 4 mm round'],
            'width and length stay a size' => ['4 x 12mm tube', 1, 'sea 4 × 12 mm tube'],
            'so does a rondelle' => ['6 x 4mm rondelle', 1, 'sea 6 × 4 mm rondelle'],
            'a colour by another name' => ['6mm round, purple', 1, 'plum 6 mm round'],
        ];
    }

    #[DataProvider('lines')]
    public function test_a_line_says_how_many_of_which_bead(string $line, int $count, string $words): void
    {
        [$read, $rest] = Bead::counted($line);
        self::assertSame([$count, $words], [$read, Bead::parse($rest)->words()]);
        $piece = $this->changed(
            Patterns::start('single-drop', 'Drops'),
            [
                'do' => 'bead.add', 'part' => $this->threaded(Patterns::start('single-drop', 'Drops'))->id->text,
                'bead' => $line,
            ],
        );
        $run = $this->threaded($piece)->beads[count($this->threaded($piece)->beads) - 1];
        self::assertSame([$count, $words], [$run->count, $piece->beads[$run->bead]->words()]);
    }

    public function test_a_refusal_lists_what_would_be_a_shape_and_a_colour(): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessageMatches('/shapes are round, rondelle, .* coil, colours sea, moss, /');
        Bead::parse('6mm globe');
    }

    public function test_a_beads_size_is_typed_where_it_stands(): void
    {
        $piece = Patterns::start('single-drop', 'Drops');
        $key = $this->threaded($piece)->beads[0]->bead;
        $before = $piece->beads[$key];
        $bead = $this->changed($piece, ['do' => 'bead.edit', 'bead' => $key, 'size' => '7 x 5.5 mm'])->beads[$key];
        self::assertSame(
            [7.0, 5.5, $before->shape, $before->holeMm, $before->colour],
            [$bead->widthMm, $bead->lengthMm, $bead->shape, $bead->holeMm, $bead->colour],
        );
        $this->expectException(Problem::class);
        $this->changed($piece, ['do' => 'bead.edit', 'bead' => $key, 'size' => 'huge']);
    }

    /**
     * Over every technique and every place of a line: the new part stands there, and no other part's beads are on it.
     */
    public function test_a_new_part_stands_where_it_is_put_and_takes_no_bead_from_elsewhere(): void
    {
        $piece = Patterns::start('linked-bracelet', 'Line');
        foreach (Techniques::all() as $technique) {
            for ($at = 0; $at <= count($piece->parts); $at++) {
                $with = $this->changed(
                    $piece,
                    ['do' => 'part.add', 'technique' => $technique->name(), 'at' => (string) $at],
                );
                self::assertSame($piece->nextPartId(), $with->parts[$at]->id, $technique->name());
                foreach ($with->parts[$at]->beads as $run) {
                    self::assertSame($technique->usualBead()->words(), $with->beads[$run->bead]->words());
                }
                foreach ($piece->parts as $part) {
                    self::assertEquals($part->beads, $with->part($part->id)->beads);
                }
            }
        }
    }

    /** What ends its line has no eye at its foot, and only that: what is put behind it hangs in nothing. */
    #[Group('wide')]
    public function test_what_ends_its_line_offers_no_eye_below(): void
    {
        $ring = ['do' => 'part.add', 'technique' => 'jump-ring', 'at' => '2'];
        foreach (Techniques::all() as $technique) {
            $piece = Patterns::start('single-drop', 'Line');
            $piece = $this->changed($piece, ['do' => 'part.remove', 'part' => $piece->parts[1]->id->text]);
            $piece = $this->changed($piece, ['do' => 'part.add', 'technique' => $technique->name(), 'at' => '1']);
            if ($this->stops($piece, 'nothing to hang from') === 0) {
                $hangs = $this->stops($this->changed($piece, $ring), 'nothing to hang from') === 0;
                self::assertSame(! $hangs, $technique->endsLine(), $technique->name());
            }
        }
    }

    /** A copy stands right below what it copies, like it in all, and brings no stop. */
    #[Group('wide')]
    public function test_copies_go_below_and_bring_no_stop(): void
    {
        foreach (Patterns::all() as $name => $pattern) {
            $piece = Patterns::start($name, 'Copied');
            foreach ($piece->parts as $at => $part) {
                if ($part->technique()->endsLine()) {
                    $with = $this->changed($piece, ['do' => 'part.copy', 'part' => $part->id->text]);
                    self::assertEquals(
                        [$part->technique, $part->beads, $part->wire],
                        [$with->parts[$at + 1]->technique, $with->parts[$at + 1]->beads, $with->parts[$at + 1]->wire],
                    );
                    self::assertSame(
                        $this->stops($piece, 'nothing to hang from'),
                        $this->stops($with, 'nothing to hang from'),
                        "{$name} {$part->id}",
                    );
                }
            }
        }
    }

    /** Up and down through the whole piece the same bead is followed. */
    public function test_a_bead_that_is_moved_stays_chosen(): void
    {
        foreach (['linked-bracelet', 'single-drop', 'cluster'] as $name) {
            $piece = Patterns::start($name, 'Moved');
            foreach ($piece->parts as $part) {
                foreach ($part->beads as $at => $run) {
                    foreach ([-1, 1] as $by) {
                        $move = new MoveBead($part->id, $at, $by);
                        try {
                            $after = $move->apply($piece);
                        } catch (Problem) {
                            continue;
                        }
                        [$id, $place] = $move->landsAt($piece, $after);
                        self::assertSame(
                            $run->bead,
                            $after->part($id)->beads[$place]->bead,
                            "{$name} {$part->id} {$at} {$by}",
                        );
                    }
                }
            }
        }
    }

    /**
     * Wherever a bead is carried to, nothing is lost or doubled, it is found there, and exchanged twice is as before.
     */
    public function test_beads_are_carried_and_exchanged_from_anywhere_to_anywhere(): void
    {
        $count = function (Piece $piece): array {
            $beads = [];
            foreach ($piece->parts as $part) {
                foreach ($part->beads as $run) {
                    $beads[$run->bead] = ($beads[$run->bead] ?? 0) + $run->count;
                }
            }
            ksort($beads);

            return $beads;
        };
        $order = fn (Piece $piece): array => array_map(
            fn (Part $part): string => implode('', array_map(
                fn (BeadRun $run): string => str_repeat("{$run->bead} ", $run->count), $part->beads,
            )),
            $piece->parts,
        );
        $tried = 0;
        foreach (['linked-bracelet', 'link-and-drop', 'cluster'] as $name) {
            $piece = Patterns::start($name, 'Carried');
            $threaded = array_values(array_filter($piece->parts, fn (Part $part): bool => $part->beads !== []));
            foreach ($threaded as $from) {
                foreach ($from->beads as $at => $run) {
                    foreach ($threaded as $to) {
                        for ($place = 0; $place <= count($to->beads); $place++) {
                            $carry = new CarryBead($from->id, $at, $to->id, $place);
                            $after = $carry->apply($piece);
                            self::assertSame(
                                $count($piece), $count($after), "{$name} {$from->id}/{$at} {$to->id}/{$place}",
                            );
                            self::assertSame(
                                $run->bead, $after->part($to->id)->beads[$carry->landsAt($piece, $after)]->bead,
                            );
                            $tried++;
                        }
                        foreach (array_keys($to->beads) as $place) {
                            $exchange = new ExchangeBeads($from->id, $at, $to->id, $place);
                            $once = $exchange->apply($piece);
                            self::assertSame($count($piece), $count($once));
                            // Where nothing was joined to its neighbours, twice is as before.
                            if (count($once->part($from->id)->beads) === count($from->beads)
                                && count($once->part($to->id)->beads) === count($to->beads)) {
                                self::assertSame($order($piece), $order($exchange->apply($once)));
                            }
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(40, $tried);
    }

    /** All alike are exchanged at once, and no others. */
    public function test_all_beads_alike_are_swapped_together(): void
    {
        $tried = 0;
        foreach (array_keys(Patterns::all()) as $name) {
            $piece = Patterns::start($name, 'Swapped');
            foreach ($piece->parts as $part) {
                foreach ($part->beads as $at => $run) {
                    $after = $this->changed($piece, [
                        'do' => 'bead.swap', 'all' => '1', 'part' => $part->id->text, 'at' => $at,
                        'bead' => '5mm round, hole 2, plum',
                    ]);
                    $count = fn (Piece $piece, callable $is): int => array_sum(array_map(
                        fn (Part $part): int => array_sum(array_map(
                            fn (BeadRun $run): int => $is($run->bead) ? $run->count : 0, $part->beads,
                        )),
                        $piece->parts,
                    ));
                    $new = $after->keyOfBead(Bead::parse('5mm round, hole 2, plum'));
                    self::assertNotNull($new, $name);
                    self::assertSame(0, $count($after, fn (string $key): bool => $key === $run->bead && $key !== $new));
                    self::assertSame(
                        $count($piece, fn (string $key): bool => $key === $run->bead || $key === $new),
                        $count($after, fn (string $key): bool => $key === $new), $name,
                    );
                    self::assertSame(
                        $count($piece, fn (): bool => true), $count($after, fn (): bool => true), $name,
                    );
                    $tried++;
                }
            }
        }
        self::assertGreaterThan(100, $tried);
    }

    public function test_what_takes_no_beads_and_what_is_not_there_is_told(): void
    {
        $piece = Patterns::start('link-and-drop', 'Carried');
        foreach ([
            ['do' => 'bead.carry', 'part' => 'p2', 'at' => 0, 'to' => 'p1', 'place' => 0],
            ['do' => 'bead.carry', 'part' => 'p2', 'at' => 9, 'to' => 'p3', 'place' => 0],
            ['do' => 'bead.carry', 'part' => 'p2', 'at' => 0, 'to' => 'p99', 'place' => 0],
            ['do' => 'bead.exchange', 'part' => 'p2', 'at' => 0, 'to' => 'p3', 'place' => 7],
        ] as $change) {
            try {
                ChangeReader::read($change)->apply($piece);
                self::fail(json_encode($change, JSON_THROW_ON_ERROR).' is refused');
            } catch (Problem $problem) {
                self::assertStringEndsWith('.', $problem->getMessage());
            }
        }
    }

    public function test_beads_are_turned_round_and_twice_is_as_before(): void
    {
        $piece = Patterns::start('linked-bracelet', 'Turned');
        $id = $this->threaded($piece)->id;
        $piece = $this->changed($piece, ['do' => 'bead.add', 'part' => $id->text, 'bead' => '5mm round, plum']);
        $once = $this->changed($piece, ['do' => 'bead.reverse', 'part' => $id->text]);
        $names = fn (Piece $piece): array => array_map(
            fn (BeadRun $run): string => $run->bead.$run->count,
            $piece->part($id)->beads,
        );
        self::assertSame(array_reverse($names($piece)), $names($once));
        self::assertSame($names($piece), $names($this->changed($once, ['do' => 'bead.reverse', 'part' => $id->text])));
    }

    /** A part repeats with the one above: in its group where it has one, else in a new one of both. */
    public function test_a_part_joins_the_group_of_the_one_above(): void
    {
        $piece = Patterns::start('linked-bracelet', 'Joined');
        $groups = array_column($piece->parts, 'group');
        $at = array_search('g1', $groups, true);
        self::assertIsInt($at);
        $last = $at + count(array_keys($groups, 'g1', true));
        $joined = $this->changed($piece, ['do' => 'group.join', 'part' => $piece->parts[$last]->id->text]);
        self::assertSame('g1', $joined->parts[$last]->group);
        $apart = $this->changed($joined, ['do' => 'group.leave', 'part' => $piece->parts[$last]->id->text]);
        self::assertSame('', $apart->parts[$last]->group);
        $alone = Patterns::start('single-drop', 'Alone');
        $both = $this->changed($alone, ['do' => 'group.join', 'part' => $alone->parts[1]->id->text]);
        self::assertSame(
            [$alone->nextGroup(), $alone->nextGroup()],
            array_column(array_slice($both->parts, 0, 2), 'group'),
        );
    }

    public function test_one_word_sets_the_metal_of_every_wire(): void
    {
        foreach (array_keys(Patterns::all()) as $name) {
            $piece = Patterns::start($name, 'Brass');
            $brass = $this->changed($piece, ['do' => 'metal', 'metal' => 'brass']);
            foreach ($piece->wires as $role => $wire) {
                self::assertEquals($wire->withMetal(Metal::Brass), $brass->wires[$role]);
            }
        }
    }

    /** @param  array<string, string>  $change */
    private function changed(Piece $piece, array $change): Piece
    {
        return ChangeReader::read($change)->apply($piece);
    }

    private function threaded(Piece $piece): Part
    {
        foreach ($piece->parts as $part) {
            if ($part->beads !== []) {
                return $part;
            }
        }
        self::fail('Nothing is threaded.');
    }

    private function stops(Piece $piece, string $rule): int
    {
        return count(
            array_filter(
                Planner::plan($piece, new Profile)->checks,
                fn (Check $check): bool => $check->level === Level::Stop && $check->rule === $rule,
            ),
        );
    }
}

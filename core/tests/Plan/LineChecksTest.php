<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Minutes;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** How parts stand to each other: strands, rings of parts, faces, middles, pairs, and what closes where. */
final class LineChecksTest extends TestCase
{
    private static function plan(Piece $piece): Plan
    {
        return Planner::plan($piece, new Profile);
    }

    /** @param  array<string, string|int>  ...$changes */
    private static function piece(string $pattern, array ...$changes): Piece
    {
        return Some::changed(Patterns::start($pattern, 'Line'), ...$changes);
    }

    private static function check(Piece $piece, string $rule): ?Check
    {
        foreach (self::plan($piece)->checks as $check) {
            if ($check->rule === $rule) {
                return $check;
            }
        }

        return null;
    }

    /** @return array<string, array{string, list<array<string, string|int>>, string, string}> */
    public static function faults(): array
    {
        $set = fn (string $part, string $key, string $value): array => [
            'do' => 'part.set',
            'part' => $part,
            'key' => $key,
            'value' => $value,
        ];

        return [
            'one strand longer than the other' => [
                'two-strand-bracelet', [['do' => 'group.set', 'group' => 'g2', 'count' => 7]], 'strands',
                'longer, it bags',
            ],
            'one strand shorter' => [
                'two-strand-bracelet', [['do' => 'group.set', 'group' => 'g2', 'count' => 5]], 'strands',
                'shorter, the line bags',
            ],
            'beads that drift' => [
                'offset-strands', [$set('p12', 'links', '12'), $set('p14', 'links', '15')], 'alignment',
                '15, 9, 15 links come within',
            ],
            'a frame on edge' => ['framed-drop', [$set('p2', 'turned', '0')], 'facing', 'edge to the front'],
            'a drop off the middle' => [
                'mirrored-necklace', [['do' => 'group.set', 'group' => 'g2', 'count' => 6]], 'middle',
                '8 links on one side and 6 on the other',
            ],
            'a pair that leans one way' => ['cluster', [], 'pair', 'both earrings lean the same way'],
            'a hoop of thread' => [
                'hoop', [['do' => 'wire', 'role' => 'hoop', 'size' => '26 awg', 'temper' => 'dead-soft']], 'stiffness',
                'bends out of shape in wear',
            ],
            'a pin as thick as a nail' => [
                'single-drop', [['do' => 'wire', 'role' => 'pin', 'size' => '16 awg', 'temper' => 'hard']], 'stiffness',
                'hard on the hands',
            ],
            'a hook too short for its eye' => ['hoop', [$set('p1', 'hook', '2 mm')], 'lock', 'hardly catches'],
            'a hook too thick for its eye' => ['hoop', [$set('p1', 'eye', '0.8 mm')], 'lock', 'does not pass the eye'],
            'two discs in one surround' => [
                'disc', [['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'count' => 2]], 'one disc', 'this has 2',
            ],
            'a rim too full' => [
                'rimmed-disc', [['do' => 'bead.count', 'part' => 'p2', 'at' => 1, 'count' => 22]], 'fill beads',
                'too much to be squeezed in',
            ],
            'a rim half bare' => [
                'rimmed-disc', [['do' => 'bead.count', 'part' => 'p2', 'at' => 1, 'count' => 12]], 'fill beads',
                'of bare wire',
            ],
            'a row too long for its rim' => [
                'bound-disc', [['do' => 'bead.count', 'part' => 'p2', 'at' => 1, 'count' => 19]], 'room', 'too much',
            ],
            'an odd number on two wires' => [
                'tile-bracelet', [['do' => 'bead.count', 'part' => 'p1', 'at' => 1, 'count' => 13]], 'strands',
                'cannot be shared evenly',
            ],
            'tiles on one wire' => ['tile-bracelet', [$set('p1', 'strands', 'one')], 'two holes', 'wants two wires'],
            'links without room for each other' => [
                'tiered-necklace', [$set('p3', 'wide', '1 mm')], 'link', 'has no room for two links',
            ],
            'a chain too short for the neck' => [
                'tiered-necklace', [$set('p3', 'links', '110')], 'length', 'too short',
            ],
        ];
    }

    /** @param  list<array<string, string|int>>  $changes */
    #[DataProvider('faults')]
    #[Group('wide')]
    public function test_a_fault_is_named_and_its_way_out_mends_it(
        string $pattern,
        array $changes,
        string $rule,
        string $sentence,
    ): void {
        $piece = self::piece($pattern, ...$changes);
        $check = self::check($piece, $rule);
        self::assertNotNull(
            $check,
            implode(
                ' | ',
                array_map(fn (Check $one): string => $one->rule.': '.$one->text, self::plan($piece)->checks),
            ),
        );
        self::assertStringContainsString($sentence, $check->text);
        self::assertNotSame(Level::Ok, $check->level);
        self::assertNotSame([], $check->ways);
        $mended = self::check(Some::changed($piece, $check->ways[0]->change), $rule);
        self::assertTrue(
            $mended === null || $mended->level === Level::Ok,
            'mended by “'.$check->ways[0]->words.'”: '.($mended->text ?? ''),
        );
    }

    /** Each ring turns what hangs in it by a quarter: a ring more above brings the face round as well. */
    public function test_one_ring_more_turns_the_face(): void
    {
        $piece = self::piece('disc', ['do' => 'part.set', 'part' => 'p2', 'key' => 'turned', 'value' => '0']);
        $check = self::check($piece, 'facing');
        self::assertNotNull($check);
        self::assertSame(
            ['Turn its eye', 'One ring more above it'],
            array_map(fn ($way): string => $way->words, $check->ways),
        );
        self::assertSame(Level::Ok, self::check(Some::changed($piece, $check->ways[1]->change), 'facing')?->level);
        $edge = self::plan($piece)->assembly()->widthMm();
        self::assertLessThan(
            0.75 * self::plan(self::piece('disc'))->assembly()->widthMm() + 6.0,
            $edge,
            'seen on edge it is narrower',
        );
    }

    /**
     * The second tier has 136 links to the first's 121: 15 · 3.5 = 52.5 mm more, half of which it hangs lower, told to
     * the half millimetre.
     */
    public function test_tiers_say_how_much_lower_they_hang(): void
    {
        $texts = implode(
            ' ',
            array_map(fn (Check $check): string => $check->text, self::plan(self::piece('tiered-necklace'))->checks),
        );
        self::assertStringContainsString('hangs about 26.5 mm lower', $texts);
    }

    /**
     * Ten links, one and ten: the drop hangs from the chain that bridges the one. Hung from the ring after it, it has
     * eleven on one side and ten on the other; each way out brings it to the middle, the bridge as the pattern has it.
     * The middle of an odd chain is a link: common practice.
     */
    public function test_an_odd_number_of_links_is_bridged_or_made_even(): void
    {
        $bridged = self::piece('bridged-necklace');
        self::assertStringContainsString(
            'in the middle from a chain across it, 10 links on either side',
            (string) self::check($bridged, 'middle')?->text,
        );
        $unbridged = Some::changed(
            $bridged, ['do' => 'part.hang', 'part' => 'p10', 'on' => 'p5/bottom'],
            ['do' => 'part.remove', 'part' => 'p9'],
        );
        $check = self::check($unbridged, 'middle');
        self::assertStringContainsString('11 links on one side and 10 on the other', (string) $check?->text);
        $words = fn (?Check $check): array => array_map(fn ($way): string => $way->words, $check->ways ?? []);
        self::assertSame(['A chain of 15 links across the middle'], $words($check), 'one fewer left no mirror images');
        $uneven = self::piece('mirrored-necklace', ['do' => 'group.set', 'group' => 'g2', 'count' => 7]);
        $off = self::check($uneven, 'middle');
        self::assertSame(['1 link fewer on its one side', '1 link more on its other side'], $words($off));
        foreach ([[$unbridged, $check], [$uneven, $off]] as [$piece, $said]) {
            foreach ($said->ways ?? [] as $way) {
                $mended = self::check(Some::changed($piece, $way->change), 'middle');
                self::assertSame(Level::Ok, $mended?->level, $way->words);
            }
        }
        $off = Some::changed($bridged, ['do' => 'part.hang', 'part' => 'p10', 'on' => 'p9/link-6']);
        self::assertStringContainsString(
            'hangs with 15 links on one side and 19', (string) self::check($off, 'middle')?->text,
        );
    }

    /**
     * Of 24.5 mm of line 37.5 mm of chain hang lower by √(3/8 · 24.5 · 13) = 10.93, a shallow arc’s sagitta; flat below
     * it the chain would span 24.5 · (1 + π · (4 + w)/457). Less than that pulls the line up.
     */
    public function test_a_strand_is_compared_with_the_arc_it_spans(): void
    {
        $bridged = self::piece('bridged-necklace');
        self::assertMatchesRegularExpression(
            '/hangs about (10\.5|11) mm lower/', (string) self::check($bridged, 'strands')?->text,
        );
        $short = Some::changed($bridged, ['do' => 'part.set', 'part' => 'p9', 'key' => 'links', 'value' => '9']);
        self::assertSame(Level::Note, self::check($short, 'strands')?->level);
        self::assertStringContainsString('pulls the line up', (string) self::check($short, 'strands')?->text);
    }

    /** Halves with the same beads in the same order are no mirror images. */
    public function test_halves_are_mirror_images_or_said_not_to_be(): void
    {
        self::assertStringContainsString(
            '8 links on either side; the halves are mirror images',
            (string) self::check(self::piece('mirrored-necklace'), 'middle')?->text,
        );
        $same = self::piece('mirrored-necklace', ['do' => 'bead.move', 'part' => 'p5', 'at' => 0, 'by' => 1]);
        self::assertStringContainsString('no mirror images', (string) self::check($same, 'middle')?->text);
    }

    /** What is alike left and right needs no mirror, and is told so where one was asked for. */
    public function test_a_mirrored_pair_of_what_is_alike_is_the_same(): void
    {
        self::assertNull(self::check(self::piece('single-drop'), 'pair'));
        self::assertStringContainsString(
            'mirrored and alike are the same',
            (string) self::check(
                self::piece('single-drop', ['do' => 'makes', 'kind' => 'mirrored-pair']),
                'pair',
            )?->text,
        );
        self::assertSame(2, self::piece('cluster', ['do' => 'makes', 'kind' => 'mirrored-pair'])->makes->count);
    }

    public function test_an_end_closes_elsewhere_and_nowhere_it_cannot(): void
    {
        $piece = self::piece('two-strand-bracelet');
        self::assertSame('p5/top', $piece->part(PartId::of('p8'))->to?->text());
        self::assertNull(
            Some::changed($piece, ['do' => 'part.remove', 'part' => 'p5'])->part(PartId::of('p8'))->to,
            'the ring gone, its end is open',
        );
        self::assertNull(
            Some::changed($piece, ['do' => 'part.close', 'part' => 'p8', 'to' => ''])->part(PartId::of('p8'))->to
        );
        foreach (['p99/top', 'p8/bottom', 'p5', 'p5/<b>', ''] as $nowhere) {
            try {
                $made = Some::changed($piece, ['do' => 'part.close', 'part' => 'p8', 'to' => $nowhere]);
                self::assertSame('', $nowhere);
                self::assertNull($made->part(PartId::of('p8'))->to);
            } catch (InvalidPiece $problem) {
                self::assertStringContainsString('is no other part', $problem->getMessage());
            }
        }
        $no = self::check(
            Some::changed($piece, ['do' => 'part.close', 'part' => 'p8', 'to' => 'p5/wing']),
            'nothing to close in',
        );
        self::assertSame(Level::Stop, $no?->level);
        self::assertSame('p5/top', PieceJson::read(PieceJson::write($piece))->part(PartId::of('p8'))->to?->text());
    }

    /**
     * Every pattern and seeded pieces whose ends close at random: the order, where there is one, can be made; where
     * there is none it is said.
     */
    #[Group('wide')]
    public function test_random_closings_are_ordered_or_refused(): void
    {
        mt_srand(29);
        $ordered = $refused = 0;
        foreach (array_keys(Patterns::all()) as $pattern) {
            for ($case = 0; $case < 6; $case++) {
                $piece = Patterns::start($pattern, 'Closed at random');
                for ($change = 0; $change < 3; $change++) {
                    $part = $piece->parts[mt_rand(0, count($piece->parts) - 1)]->id->text;
                    $to = $piece->parts[mt_rand(0, count($piece->parts) - 1)]->id;
                    try {
                        $piece = Some::changed(
                            $piece,
                            ['do' => 'part.close', 'part' => $part, 'to' => $to.'/'.['top', 'bottom'][mt_rand(0, 1)]],
                            ['do' => 'part.repeat', 'part' => $part, 'count' => mt_rand(1, 4)],
                        );
                    } catch (Problem $problem) {
                        self::assertNotSame('', $problem->getMessage());
                    }
                }
                $plan = self::plan($piece);
                $isStopped = array_filter(
                    $plan->checks,
                    fn (Check $check): bool => in_array($check->rule, ['closing order', 'nothing to close in'], true),
                ) !== [];
                $isStopped ? $refused++ : $ordered++;
                if (array_filter($plan->checks, fn (Check $check): bool => $check->rule === 'closing order') === []) {
                    self::assertNotSame([], $plan->steps());
                }
                foreach ($plan->figure()->strokes as $stroke) {
                    foreach ($stroke->path as $command) {
                        self::assertTrue(is_finite((float) $command[1]) && is_finite((float) $command[2]));
                    }
                }
            }
        }
        self::assertGreaterThan(20, $ordered);
        self::assertGreaterThan(5, $refused);
    }

    /** Times are rough, but a pair takes longer than one, and more beads longer than fewer. */
    public function test_minutes_grow_with_the_work(): void
    {
        $minutes = fn (Piece $piece): float => Minutes::of(self::plan($piece));
        $one = self::piece('link-and-drop', ['do' => 'makes', 'kind' => 'one']);
        self::assertGreaterThan(1.5 * $minutes($one), $minutes(self::piece('link-and-drop')));
        self::assertEqualsWithDelta(
            20 * 0.06,
            $minutes(
                self::piece('strand', ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'count' => 26]),
            ) - $minutes(self::piece('strand')),
            0.3,
        );
    }
}

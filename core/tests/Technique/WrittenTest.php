<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Technique;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Technique\Written\Construction;
use Hebra\Core\Technique\Written\Line;
use Hebra\Core\Technique\Written\Move\Arc;
use Hebra\Core\Technique\Written\Move\Bend;
use Hebra\Core\Technique\Written\Move\Coil;
use Hebra\Core\Technique\Written\Move\Spiral;
use Hebra\Core\Technique\Written\Move\Straight;
use Hebra\Core\Technique\Written\Move\Through;
use Hebra\Core\Technique\Written\Move\Turn;
use Hebra\Core\Technique\Written\Text;
use Hebra\Core\Technique\Written\Told;
use Hebra\Core\Tests\Piece\Some;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** A wire told in words: what is read, what is refused in one sentence, and what is cut and done for it. */
final class WrittenTest extends TestCase
{
    public function test_reads_moves_however_they_are_parted(): void
    {
        $text = Text::parse("Straight 12 mm · ARC 20 −180; bend 60°, through 3\ncoil 8 on 2 · turn 90 · spiral 2.5");
        self::assertSame(
            ['straight 12 mm', 'arc 20 -180', 'bend 60', 'through 3', 'coil 8 on 2', 'turn 90', 'spiral 2.5'],
            array_map(fn (Told $told): string => $told->text, $text->moves()),
        );
        self::assertSame(
            [Straight::class, Arc::class, Bend::class, Through::class, Coil::class, Turn::class, Spiral::class],
            array_map(fn (Told $told): string => $told->move::class, $text->moves()),
        );
    }

    public function test_reads_wires_by_name_with_what_goes_the_other_way(): void
    {
        $text = Text::parse('frame (18): from 0 10 heading right · eye 3 as top | arc 38 357 as rim
            tie: through a · round a above with 9 b
            frame: wrap 2 on rim');
        self::assertSame(
            [['frame', 18, 1, 1, false], ['tie', null, 2, 0, false], ['frame', 18, 0, 1, true]],
            array_map(
                fn (Line $line): array => [
                    $line->name, $line->gauge, count($line->on), count($line->back), $line->goesOn,
                ],
                $text->lines,
            ),
        );
        self::assertSame(
            ['top', 'rim', 'tie-0', 'tie-1'],
            array_map(fn (Told $told): string => $told->eye(), array_slice($text->moves(), 0, 4)),
        );
        self::assertSame('round A above with 9 B', $text->moves()[3]->text);
    }

    /** Where a wire is told on, a `|` says what goes on at which of its ends; without one the end told last does. */
    public function test_a_wire_goes_on_at_both_of_its_ends(): void
    {
        $told = 'stem: from 0 0 heading down · straight 9 as first | straight 4 as second · tie: straight 3';
        $legs = fn (string $further): array => array_map(
            fn (array $leg): array => array_map(fn (Told $told): string => $told->text, $leg),
            [Text::parse("{$told} · {$further}")->lines[2]->on, Text::parse("{$told} · {$further}")->lines[2]->back],
        );
        self::assertSame([['straight 5'], ['straight 6']], $legs('stem: straight 5 | straight 6'));
        self::assertSame([[], ['straight 5']], $legs('stem: straight 5'));
        self::assertSame([[], ['straight 6']], $legs('stem: | straight 6'));
    }

    /**
     * Round two wires of 0.8118 mm, 0.8 mm apart, a turn takes √((π · 1.6236 + 1.6)² + 0.8118²) = 6.7496 (geometry),
     * and is begun on the side that its wire comes from.
     */
    public function test_wraps_go_round_two_wires_together(): void
    {
        $two = 'one (20): from -0.4 0 heading down · straight 20 · two (20): from 0.4 0 heading down · straight 20';
        foreach (['-6 10 heading right', '6 10 heading left'] as $from) {
            $piece = self::free("{$two} · tie (20): from {$from} · straight 3 · wrap 3 on one and two at 10", 1);
            $cuts = array_filter(
                Planner::plan($piece, new Profile)->cuts, fn ($cut): bool => str_contains($cut->label, 'Tie'),
            );
            $lengths = array_column(array_values($cuts)[0]->segments, 'lengthMm', 'words');
            self::assertEqualsWithDelta(3 * 6.7496, $lengths['3 wraps'], 0.03);
            self::assertLessThan(4.0, $lengths['the way there'], $from);
        }
    }

    /** @return array<string, array{string, string}> what is written, and what the sentence names */
    public static function refused(): array
    {
        return [
            'nothing' => [' · ; ', 'moves such as'],
            'no move' => ['straight 4 · jump 3', '“jump 3”'],
            'a number too few' => ['arc 20', '“arc 20”'],
            'a number too many' => ['straight 4 5', '“straight 4 5”'],
            'words among the numbers' => ['straight four', '“straight four”'],
            'nothing to bend' => ['bend 0', '“bend 0”'],
            'back on itself' => ['bend 180', '−170 to 170'],
            'longer than a coil' => ['straight 60000', '0.1 to 10000'],
            'a wire begun anew' => ['tie: straight 3 · tie: from 0 0 heading up · straight 3', 'has begun before'],
            'three ends' => ['straight 3 | straight 4 | straight 5', 'more than one |'],
            'a way that is none' => ['tie: heading north · straight 3', 'heading north'],
            'a place that is none' => ['straight 9 as stem · wrap 2 on stem at corner', 'wrap 2 on stem at corner'],
            'a gauge that is none' => ['tie (99): straight 3', '10 to 34'],
            'too many wires' => [
                implode('·', array_map(fn (int $at): string => "tie {$at}: straight 3", range(1, 25))), '25 wires',
            ],
            'too many moves' => [str_repeat('bend 10·', 5001), '5001 moves'],
        ];
    }

    #[DataProvider('refused')]
    public function test_refuses_in_one_sentence_at_its_place(string $text, string $names): void
    {
        $this->expectException(Problem::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($names, '/').'/');
        Text::parse($text);
    }

    /** @param  array<string, string>  $more */
    private static function free(string $course, int $beads, array $more = []): Piece
    {
        return Some::changed(
            Patterns::start('meander', 'One'),
            ['do' => 'bead.remove', 'part' => 'p2', 'at' => '1'],
            ['do' => 'bead.count', 'part' => 'p2', 'at' => '0', 'count' => (string) $beads],
            ['do' => 'part.set', 'part' => 'p2', 'key' => 'course', 'value' => $course],
        );
    }

    /**
     * In 20 AWG, 0.8118 mm, between two plain eyes of 2.5: straight 10, half a turn of 12 inside π · 12.8118/2 =
     * 20.125,
     * five turns on 3 mm 5 · √((π · 3.8118)² + 0.8118²) = 60.013, two turns of a spiral 2 · π ·
     * (0.8 + 1.6236) = 15.228,
     * eyes 2 · π · 3.3118 = 20.809.
     */
    public function test_a_cut_is_the_sum_of_its_moves(): void
    {
        $plan = Planner::plan(
            self::free('straight 10 · bend 30 · arc 12 180 · coil 5 on 3 · spiral 2', 1), new Profile,
        );
        $cut = array_values(array_filter($plan->cuts, fn ($cut): bool => $cut->label === 'Free wire'))[0];
        self::assertEqualsWithDelta(10 + 20.125 + 60.013 + 15.228 + 20.809, $cut->lengthMm(), 0.01);
        self::assertContains('bend 30°', array_map(fn ($bend): string => $bend->words, $cut->bends));
        $titles = array_map(fn ($step): string => $step->title, $plan->steps());
        $work = array_values(array_filter($titles, fn (string $title): bool => str_starts_with($title, 'Free wire:')));
        self::assertSame([
            'Free wire: turn the top eye', 'Free wire: bend it', 'Free wire: bend the arc', 'Free wire: wind the coil',
            'Free wire: wind the spiral', 'Free wire: turn the bottom eye', 'Free wire: hang it on',
        ], $work);
    }

    public function test_beads_and_course_must_agree(): void
    {
        $stops = fn (int $beads): array => array_values(array_map(
            fn (Check $check): string => $check->text,
            array_filter(
                Planner::plan(self::free('straight 4 · through 3 · straight 4', $beads), new Profile)->checks,
                fn (Check $check): bool => $check->rule === 'course' && $check->level === Level::Stop,
            ),
        ));
        self::assertSame([], $stops(3));
        self::assertSame(['It goes through 3 beads, and 5 are on its line.'], $stops(5));
        self::assertSame(['“through 3” takes 3 beads, and only 2 are left on its line.'], $stops(2));
    }

    /**
     * @return array<string, array{string, string}> what is written, and what is said of it where the beads are known
     */
    public static function doNotGo(): array
    {
        return [
            'wrapped on nothing' => ['from 0 0 · straight 9 · wrap 3 on stem', '“stem” is not told before it is met'],
            'wrapped on what comes later' => ['tie: from 0 0 · wrap 2 on frame at left
                frame: from 0 0 heading left · arc 20 300', '“frame” is not told before it is met'],
            'round what is on no wire' => ['from 0 0 · straight 9 · round A above', '“A” is on no wire yet'],
            'a bead that is not there' => ['from 0 0 · through C', '“C” is no bead of its line'],
            'more beads than go round' => ['from 0 0 · through 1 A · round A above', '“A” is on no wire yet'],
            'a wire too short' => [
                'from 0 0 · straight 30 as stem · fill stem until 20', 'does not reach once over the stem',
            ],
            'less wire than the way' => [
                'from 0 0 heading up · to 10 0 heading down taking 9.5', 'is less wire than the way there',
            ],
            'a weave over one' => ['from 0 0 · weave 2@1-2 x3 on core at 4', '“core” names fewer than two wires'],
        ];
    }

    #[DataProvider('doNotGo')]
    public function test_what_does_not_go_is_said_and_the_rest_is_planned(string $course, string $says): void
    {
        $plan = Planner::plan(self::free($course, 3), new Profile);
        $stops = array_map(
            fn (Check $check): string => $check->level === Level::Stop ? $check->text : '', $plan->checks,
        );
        self::assertNotSame(
            [], array_filter($stops, fn (string $text): bool => str_contains($text, $says)), implode(' / ', $stops),
        );
        self::assertNotSame([], $plan->cuts);
    }

    /**
     * In 20 AWG, 0.8118 mm: three turns round a stem of the same wire 3 · √((π · 2 · 0.8118)² + 0.8118²) = 15.495;
     * through a bead of 3 mm twice 6; half round it, from the middle of its hole to beside the wire that is in it: half
     * a circle of 1.5 + 0.4059 whose second half is 0.8118 · cos² aside, 5.532 (added up in 200,000 pieces).
     */
    public function test_wraps_passes_and_rounds_are_as_long_as_geometry_has_it(): void
    {
        $lengths = fn (string $course): array => self::lengths(self::free($course, 1));
        self::assertEqualsWithDelta(
            15.495, $lengths('from 0 0 · straight 20 as stem | wrap 3 on stem at middle')['3 wraps'], 0.08,
        );
        $through = $lengths('from 0 0 · through A · round A right · through A');
        self::assertEqualsWithDelta(3.0, $through['1 bead'], 1e-9);
        self::assertEqualsWithDelta(3.0, $through['through it again'], 1e-9);
        self::assertEqualsWithDelta(5.532, $through['round A'], 0.03);
    }

    /** Half a circle over 10 mm takes 5π of wire, and bowed to take so much it rises 5 mm (geometry). */
    public function test_a_sweep_is_bowed_to_take_the_wire_that_is_said(): void
    {
        $piece = self::free('from 0 0 heading up · to 10 0 heading down taking 15.708 with 1 A', 1);
        self::assertEqualsWithDelta(5 * M_PI, self::lengths($piece)['the way there, with beads'], 0.001);
        $part = Planner::plan($piece, new Profile)->parts()['p2'];
        $points = (new Curve(array_merge(...array_map(
            fn (Curve $curve): array => $curve->spans, $part->technique->courses($part)[0]->curves(),
        ))))->points(0.1);
        $rises = max(array_map(fn (Vector $at): float => $at->y, $points)) - min(
            array_map(fn (Vector $at): float => $at->y, $points)
        );
        self::assertEqualsWithDelta(5.0, $rises, 0.1);
    }

    /** @return array<string, float> */
    private static function lengths(Piece $piece): array
    {
        $lengths = [];
        foreach (Planner::plan($piece, new Profile)->cuts as $cut) {
            foreach ($cut->label === 'Free wire' ? $cut->segments : [] as $segment) {
                $lengths[$segment->words] = ($lengths[$segment->words] ?? 0.0) + $segment->lengthMm;
            }
        }

        return $lengths;
    }

    /** As many whole passes as the wire gives: one more would take more than it is long. */
    #[Group('wide')]
    public function test_a_long_end_is_bound_until_it_is_used_up(): void
    {
        foreach ([200, 300, 500, 900] as $length) {
            $piece = self::free('from 0 0 heading down · through A · straight 30 as stem | arc 4 -180 as top · fill '
                ."stem until {$length}", 1);
            $cut = array_values(
                array_filter(Planner::plan($piece, new Profile)->cuts, fn ($cut): bool => $cut->label === 'Free wire')
            )[0];
            $passes = array_values(
                array_filter($cut->segments, fn ($segment): bool => str_starts_with($segment->words, 'pass '))
            );
            self::assertLessThanOrEqual($length + 1e-6, $cut->lengthMm());
            self::assertGreaterThan(
                $length, $cut->lengthMm() + 2.2 * $passes[0]->lengthMm + 10, 'another would not go',
            );
        }
    }

    /**
     * Beads of 3 mm close to each other on 20 AWG part by its 0.8118 mm so far out as their halves are seen to:
     * 0.4059 + 1.5 · (1 + √(1 − (1 − 0.8118/3)²)) = 2.932 mm from the middle of the stem. There a wire goes
     * down between them: eight halves straight across, π · 2.932 = 9.211, and seven that slant on by a bead,
     * √(9.211² + 3²) = 9.687 (geometry).
     */
    public function test_what_is_filled_over_beads_goes_down_between_them(): void
    {
        $piece = Patterns::start('own-core', 'One');
        $part = PartPlan::of($piece, $piece->parts[1], new Profile);
        $passes = array_values(array_filter(
            $part->courses()[0]->moves, fn (Move $move): bool => str_starts_with($move->segment->words, 'pass '),
        ));
        $begins = min(array_map(fn (array $bead): float => $bead[1]->y - 1.5, self::standing($part)));
        $passed = 8 * 9.211 + 7 * 9.687;
        // It turns from straight to slanting, and so is a little longer.
        self::assertEqualsWithDelta(1.01 * $passed, $passes[1]->segment->lengthMm, 0.01 * $passed);
        self::assertCount(2, $passes, 'there and back');
        foreach ($part->courses()[0]->curves() as $at => $curve) {
            $isPass = in_array($part->courses()[0]->moves[$at], $passes, true);
            foreach ($isPass ? array_filter($curve->spans, self::isBefore(...)) : [] as $half) {
                $along = $half->at(0.5)->y - $begins;
                $off = abs($along - 3 * max(0.0, min(7.0, round($along / 3))));
                self::assertLessThan(0.5, $off, "{$along} is no gap");
            }
        }
    }

    /** @return list<array{Threaded, Vector, Vector}> */
    private static function standing(PartPlan $part): array
    {
        $standing = [];
        foreach ($part->courses()[0]->curves() as $at => $curve) {
            array_push($standing, ...$part->courses()[0]->moves[$at]->standing($curve));
        }

        return $standing;
    }

    private static function isBefore(Span $half): bool
    {
        return $half->at(0.5)->z > 2.0;
    }

    /** Each wire goes on from where it came to: what is laid on others meets what is laid in words. */
    #[Group('wide')]
    public function test_every_wire_of_a_construction_is_whole(): void
    {
        $names = [
            'pin-and-bow', 'sewn-disc', 'tied-drop', 'own-core', 'loose-leg', 'haloed-ring', 'bound-bangle',
            'parted-band',
        ];
        foreach ($names as $name) {
            $piece = Patterns::start($name, 'One');
            foreach ($piece->parts as $part) {
                $plan = PartPlan::of($piece, $part, new Profile);
                foreach ($part->technique === 'free-wire' ? $plan->technique->courses($plan) : [] as $course) {
                    $last = null;
                    foreach ($course->curves() as $at => $curve) {
                        foreach ($curve->spans as $span) {
                            self::assertLessThan(
                                0.06, $last === null ? 0.0 : $span->from->minus($last)->lengthMm(),
                                "{$name}: {$course->label}, move {$at}",
                            );
                            $last = $span->to;
                        }
                        self::assertEqualsWithDelta(
                            $course->moves[$at]->segment->lengthMm, $curve->lengthMm(),
                            0.06 + 0.01 * $curve->lengthMm(), "{$name}: {$course->label}, move {$at}",
                        );
                    }
                }
            }
            $stops = array_filter(
                Planner::plan($piece, new Profile)->checks,
                fn (Check $check): bool => in_array($check->level, [Level::Stop, Level::Warn], true),
            );
            self::assertSame([], array_map(fn (Check $check): string => $check->text, array_values($stops)), $name);
        }
    }

    #[Group('wide')]
    public function test_as_many_moves_as_may_be_written_are_planned(): void
    {
        $course = implode(
            ' · ', array_map(fn (int $at): string => 'straight 1 · bend '.($at % 2 === 0 ? 7 : -6), range(1, 2500)),
        );
        $cut = array_values(array_filter(
            Planner::plan(self::free($course, 1), new Profile)->cuts, fn ($cut): bool => $cut->label === 'Free wire',
        ))[0];
        self::assertEqualsWithDelta(2500 + 20.809, $cut->lengthMm(), 0.01);
        self::assertGreaterThan(2400, count($cut->bends));
    }

    /** What two wires of unlike gauge go through is checked with both. */
    public function test_a_hole_knows_every_wire_in_it(): void
    {
        $piece = self::free('from 0 0 heading down · through A · straight 5
            tie (26): from 0 -4 heading down · through A · through A', 1);
        $passes = Planner::plan($piece, new Profile)->toArray()['passes'];
        $wires = array_values(array_filter($passes, fn (array $pass): bool => count($pass['wires']) > 1));
        self::assertSame(['20 awg', '26 awg', '26 awg'], $wires[0]['wires']);
    }

    /** Twenty-seven kinds of beads want a twenty-seventh letter: after Z comes AA, and it is read back. */
    public function test_letters_go_on_after_z(): void
    {
        self::assertSame(['A', 'Z', 'AA', 'AZ', 'BA'], array_map(Construction::letter(...), [0, 25, 26, 51, 52]));
        for ($run = 0; $run < 200; $run++) {
            self::assertSame($run, Construction::ofLetter(strtolower(Construction::letter($run))));
        }
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Figure\Diagram;
use Hebra\Core\Figure\WeaveNotes;
use Hebra\Core\Figure\Woven;
use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Weave;
use Hebra\Core\Wrap\WeaveMove;
use Hebra\Core\Wrap\WeavePattern;
use PHPUnit\Framework\TestCase;

/** Weaves as they are drawn: over and under, and one wire that goes on where it left off. */
final class WovenTest extends TestCase
{
    /** @return list<list<array{float, float}>> */
    private static function of(Diagram $drawn, string $kind): array
    {
        return array_values(
            array_map(
                fn (array $line): array => $line['path'],
                array_filter($drawn->lines(), fn (array $line): bool => $line['kind'] === $kind),
            ),
        );
    }

    /**
     * The wire comes round: where it leaves the front, the back takes it up, and the next turn begins where the back
     * ends.
     */
    public function test_front_and_back_of_a_figure_weave_are_one_wire(): void
    {
        $weave = Weave::of(WeavePattern::parse('2@1-2 3@2-3', 3), 1.0, 0.4);
        $front = self::of(Woven::figure($weave, 12), 'wrap');
        $back = self::of(Woven::figure($weave, 12, false), 'wrap');
        self::assertCount(12, $front);
        $far = 2 * $weave->spacingMm;
        foreach ($front as $turn => [[$x0, $y0], [$x1, $y1]]) {
            [[$bx0, $by0], [$bx1, $by1]] = $back[$turn];
            self::assertEqualsWithDelta([$x1, $y1], [$bx0, $far - $by0], 1e-9, 'over the lower edge');
            self::assertEqualsWithDelta($y0, $far - $by1, 1e-9, 'back up to the edge it came from');
            self::assertEqualsWithDelta($x0 + $weave->wireMm, $bx1, 1e-9, 'one wire farther on');
        }
    }

    /** Each pass begins where the last ended; in front on one side is behind on the other. */
    public function test_a_basket_weave_is_one_wire_over_and_under(): void
    {
        foreach (['f1 b2 f3 b3 f2 b1' => 3, 'f1 b2 f3 b4 f4 b3 f2 b1' => 4, 'f1-3 b3-1' => 3] as $passes => $cores) {
            $weave = BasketWeave::parse($passes, $cores);
            $count = 2 * count($weave->touches);
            $front = Woven::basket($weave, 0.8, 0.3, 1.1, $count);
            $back = Woven::basket($weave, 0.8, 0.3, 1.1, $count, false);
            $over = self::of($front, 'wrap');
            self::assertCount($count, [...$over, ...self::of($front, 'under')]);
            self::assertCount(count($over), self::of($back, 'under'));
            $ends = [...$over, ...self::of($front, 'under')];
            usort($ends, fn (array $a, array $b): int => $a[0][0] <=> $b[0][0]);
            for ($at = 1; $at < $count; $at++) {
                self::assertEqualsWithDelta($ends[$at - 1][1], $ends[$at][0], 1e-9, "{$passes}, pass {$at}");
            }
        }
    }

    public function test_the_last_step_is_lit(): void
    {
        $weave = Weave::of(WeavePattern::parse('2@1 3@2', 2), 1.0, 0.4);
        $drawn = Woven::figure($weave, 5, true, 2);
        self::assertCount(2, self::of($drawn, 'wrap'));
        self::assertCount(3, self::of($drawn, 'lit'));
        self::assertCount(2, self::of($drawn, 'core'));
    }

    /** A note shows as many turns as its move has, up to eight, from outside its first core to outside its last. */
    public function test_each_move_is_a_note_on_all_the_cores(): void
    {
        $notes = new WeaveNotes(WeaveNotes::spaced(4, 1.4), 1.0, 0.4);
        foreach (WeaveMove::figures(WeavePattern::parse('3@1-2 20@2-4 1@3', 4)) as $at => $move) {
            self::assertCount(4, self::of($notes->note($move), 'core'), $move->written());
            $turns = self::of($notes->note($move), 'wrap');
            self::assertCount([3, 8, 1][$at], $turns, $move->written());
            [$upper, $lower] = [$turns[0][0][1], $turns[0][1][1]];
            self::assertEqualsWithDelta(($move->from - 1) * 1.4 - 0.7, $upper, 1e-9, $move->written());
            self::assertEqualsWithDelta(($move->to - 1) * 1.4 + 0.7, $lower, 1e-9, $move->written());
        }
    }

    /** Cut across, the wire touches the cores it goes round, on its side alone where it is a pass. */
    public function test_cut_across_the_wire_lies_where_the_move_says(): void
    {
        $notes = new WeaveNotes(WeaveNotes::spaced(3, 1.4), 1.0, 0.4);
        $moves = [
            ...WeaveMove::figures(WeavePattern::parse('2@1-3 1@2', 3)),
            ...WeaveMove::passes(BasketWeave::parse('f1 b2 f3 b3 f2 b1', 3)),
        ];
        foreach ($moves as $move) {
            $drawn = $notes->across($move);
            self::assertSame(['1', '2', '3'], array_column($drawn->labels(), 'text'));
            [$wire] = self::of($drawn, 'lit');
            foreach ($wire as [$x, $y]) {
                $nearest = min(array_map(fn (int $core): float => hypot($x, $y - $core * 1.4), [0, 1, 2]));
                self::assertGreaterThan(0.7 - 1e-9, $nearest, $move->written());
            }
            [$least, $most] = [min(array_column($wire, 0)), max(array_column($wire, 0))];
            self::assertEqualsWithDelta($move->isFront === false ? 0.0 : -0.7, $least, 1e-9, $move->written());
            self::assertEqualsWithDelta($move->isFront === true ? 0.0 : 0.7, $most, 1e-9, $move->written());
        }
    }

    /** What is tapped is written as it is read: every move that could come next is one of the pattern then. */
    public function test_what_could_come_next_is_read_as_it_is_written(): void
    {
        foreach ([2, 5] as $cores) {
            foreach (WeaveMove::next($cores, 3, false) as $move) {
                $read = WeaveMove::figures(WeavePattern::parse("1@1 {$move->written()}", $cores))[1];
                self::assertEquals($move, $read);
            }
            self::assertCount($cores * ($cores + 1) / 2, WeaveMove::next($cores, 3, false));
            self::assertSame(
                ['f1', 'b1', 'f2', 'b2'],
                array_map(fn (WeaveMove $move): string => $move->written(), WeaveMove::next(2, 3, true)),
            );
        }
    }

    public function test_cores_are_numbered_on_both_faces_and_repeats_counted_in_front(): void
    {
        $weave = Weave::of(WeavePattern::parse('2@1-2 3@2-3', 3), 1.0, 0.4);
        $words = fn (Diagram $drawn, string $kind): array => array_values(
            array_column(array_filter($drawn->labels(), fn (array $one): bool => $one['kind'] === $kind), 'text'),
        );
        [$front, $back] = [Woven::figure($weave, 12), Woven::figure($weave, 12, false)];
        self::assertSame(['1', '2', '3'], $words($front, 'on'));
        self::assertSame(['1', '2', '3'], $words($front, 'beside'), 'twelve turns are two repeats and a part');
        self::assertSame([], $words($back, 'beside'));
        $far = 2 * $weave->spacingMm;
        foreach ($front->labels() as $at => $label) {
            if ($label['kind'] === 'on') {
                self::assertEqualsWithDelta($far - $label['y'], $back->labels()[$at]['y'], 1e-9, 'turned over');
            }
        }
    }
}

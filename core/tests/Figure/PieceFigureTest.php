<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Some;
use Hebra\Core\Wire\Metal;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The drawing is geometry: what it shows must measure what the plan says. */
final class PieceFigureTest extends TestCase
{
    private static function figure(Piece $piece): PieceFigure
    {
        return Planner::plan($piece, new Profile)->figure();
    }

    /** @return list<Stroke> */
    private static function marked(PieceFigure $figure, string $mark): array
    {
        return array_values(array_filter($figure->strokes, fn (Stroke $stroke): bool => $stroke->mark === $mark));
    }

    public function test_there_are_as_many_wraps_as_turns(): void
    {
        $figure = self::figure(
            Some::changed(Some::drop(), ['do' => 'part.set', 'part' => 'p2', 'key' => 'top_wraps', 'value' => '5']),
        );
        // The first begins and the last ends before the neck: their near halves are told in two.
        self::assertCount(5 + 1, self::marked($figure, 'p2:top-wraps'));
        self::assertCount(3 + 1, self::marked($figure, 'p2:bottom-wraps'));
        self::assertCount(2 + 1, self::marked($figure, 'p3:top-wraps'));
    }

    public function test_beads_stand_end_to_end_in_order(): void
    {
        $beads = self::figure(
            Some::changed(Some::drop(), ['do' => 'bead.count', 'part' => 'p2', 'at' => 0, 'count' => '3']),
        )->beads;
        self::assertCount(5, $beads);
        for ($place = 1; $place < 4; $place++) {
            self::assertEqualsWithDelta(
                $beads[$place - 1]->topMm + $beads[$place - 1]->bead->lengthMm,
                $beads[$place]->topMm,
                1e-9,
            );
        }
        self::assertSame('p2:bead-0', $beads[0]->mark);
        self::assertSame('p2:bead-1', $beads[3]->mark);
    }

    public function test_a_hooked_loop_hangs_a_quarter_turned_and_its_near_half_lies_in_front(): void
    {
        $figure = self::figure(Some::drop());
        $layers = function (string $mark) use ($figure): array {
            $layers = array_map(fn (Stroke $stroke): int => $stroke->layer, self::marked($figure, $mark));
            sort($layers);

            return $layers;
        };
        self::assertSame([1], $layers('p1:eye'), 'the ear wire’s eye faces the viewer');
        self::assertSame([0, 1, 2], $layers('p2:top-loop'), 'the loop hooked in it is seen edge-on, over its neck');
        self::assertSame(
            [1, 2], $layers('p3:top-loop'), 'and the next one faces the viewer again, its end before its neck',
        );
        $turned = self::figure(
            Some::changed(Some::drop(), ['do' => 'part.set', 'part' => 'p2', 'key' => 'turned', 'value' => '1']),
        );
        self::assertSame(
            [1, 2],
            array_map(fn (Stroke $stroke): int => $stroke->layer, self::marked($turned, 'p2:bottom-loop')),
        );
    }

    #[Group('wide')]
    public function test_every_stretch_that_stays_is_drawn_and_bears_the_mark_of_its_segment(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            $plan = Planner::plan(Patterns::start($pattern, 'Marks'), new Profile);
            $drawn = [
                ...array_map(fn (Stroke $stroke): string => $stroke->mark, $plan->figure()->strokes),
                // What is wound to beads is drawn as beads.
                ...array_map(
                    fn (BeadMark $bead): string => $bead->bead->shape->isWound() ? $bead->mark : '',
                    $plan->figure()->beads,
                ),
            ];
            foreach ($plan->cuts as $cut) {
                foreach ($cut->segments as $segment) {
                    if ($segment->kind->stays() && $segment->lengthMm > 0) {
                        self::assertContains($segment->mark, $drawn, $pattern);
                    }
                }
            }
        }
    }

    /** Strokes drawn straight, added up, are the straight stretches of the cut; half circles are its arcs. */
    public function test_the_ear_wire_is_drawn_at_its_cut_length(): void
    {
        $plan = Planner::plan(Some::drop(), new Profile);
        $length = 0.0;
        foreach (['p1:front', 'p1:arch', 'p1:back', 'p1:eye'] as $mark) {
            foreach (self::marked($plan->figure(), $mark) as $stroke) {
                $length += Drawn::lengthMm($stroke);
            }
        }
        // Strokes run on a hair under each other.
        self::assertEqualsWithDelta($plan->cuts[0]->lengthMm(), $length, 0.3);
    }

    public function test_a_repeat_hangs_as_long_as_copies_do(): void
    {
        $repeated = Some::changed(
            Patterns::start('two-links', 'R'),
            ['do' => 'part.repeat', 'part' => 'p2', 'count' => '3'],
        );
        $copied = Some::changed(
            Patterns::start('two-links', 'C'),
            ['do' => 'part.copy', 'part' => 'p2'],
            ['do' => 'part.copy', 'part' => 'p2'],
        );
        self::assertEqualsWithDelta(self::figure($copied)->heightMm(), self::figure($repeated)->heightMm(), 1e-9);
    }

    /** Wherever a stroke lies, its points lie there and its bounds hold every place that it reaches. */
    public function test_a_stroke_that_lies_elsewhere_is_the_same_stroke_there(): void
    {
        mt_srand(67);
        $at = fn (): float => mt_rand(-2000, 2000) / 100;
        for ($try = 0; $try < 200; $try++) {
            $stroke = new Stroke(
                [['M', $at(), $at()], ['L', $at(), $at()], ['C', $at(), $at(), $at(), $at(), $at(), $at()]],
                1.0, Metal::Copper, 1, 'x',
            );
            $pose = new Pose(mt_rand(-180, 180), $at(), $at());
            $posed = $stroke->posed($pose);
            foreach ($stroke->places() as $place => [$x, $y]) {
                self::assertEqualsWithDelta($pose->at($x, $y), $posed->places()[$place], 1e-3);
            }
            [$left, $top, $right, $bottom] = $posed->bounds();
            [$xs, $ys] = [array_column($posed->places(), 0), array_column($posed->places(), 1)];
            self::assertEqualsWithDelta([min($xs), min($ys), max($xs), max($ys)], [$left, $top, $right, $bottom], 1e-9);
        }
    }

    public function test_bounds_hold_wire_beads_and_the_bulge_of_loops(): void
    {
        $stroke = new Stroke(
            [['M', 0.0, 9.5], ['C', 1.38, 9.5, 2.5, 10.62, 2.5, 12.0], ['C', 2.5, 13.38, 1.38, 14.5, 0.0, 14.5],
                ['C', -1.38, 14.5, -2.5, 13.38, -2.5, 12.0], ['C', -2.5, 10.62, -1.38, 9.5, 0.0, 9.5]],
            1.0, Metal::Copper, 1, 'x',
        );
        $figure = new PieceFigure([$stroke], []);
        self::assertEqualsWithDelta([-3.0, 9.0, 3.0, 15.0], $figure->bounds(), 1e-9);
        self::assertEqualsWithDelta([-3.0, 0.0, 3.0, 15.0], $figure->reach(), 1e-9);
        self::assertSame([0.0, 0.0], [(new PieceFigure([], []))->heightMm(), (new PieceFigure([], []))->widthMm()]);
    }
}

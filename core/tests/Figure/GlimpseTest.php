<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\FormingPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\Metal;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** What is drawn of what is looked at alone is what would be seen there of the whole. */
final class GlimpseTest extends TestCase
{
    private static function stroke(float $fromX, float $toX, string $mark = 'p1:loop'): Stroke
    {
        return new Stroke([['M', $fromX, 0.0], ['L', $toX, 0.0]], 1.0, Metal::Copper, 1, $mark);
    }

    public function test_what_reaches_into_the_window_is_taken_with_its_thickness(): void
    {
        $window = Glimpse::within([0.0, -5.0, 10.0, 5.0]);
        $figure = new PieceFigure(
            [self::stroke(-9.0, -0.6), self::stroke(-9.0, -0.4), self::stroke(-3.0, 30.0), self::stroke(10.6, 20.0)],
            [],
        );

        self::assertSame([$figure->strokes[1], $figure->strokes[2]], $window->from($figure)->strokes);
        self::assertSame($figure, Glimpse::all()->from($figure));
    }

    public function test_what_bears_a_mark_is_taken_wherever_it_is(): void
    {
        $figure = new PieceFigure([self::stroke(0.0, 1.0), self::stroke(90.0, 99.0, 'p1:neck')], []);

        self::assertSame([$figure->strokes[1]], Glimpse::reachOf(['p1:neck'])->from($figure)->strokes);
        self::assertSame([], Glimpse::reachOf([])->from($figure)->strokes);
        self::assertTrue(Glimpse::reachOf(['p1:neck'])->isEverywhere());
    }

    /** What looks deep stands aside on the page, and is looked for there. */
    public function test_what_is_deep_is_looked_for_where_it_stands_on_the_page(): void
    {
        $window = Glimpse::within([3.3, -1.0, 3.5, 1.0]);

        self::assertTrue($window->isNear(new Vector(0.0, 0.0, 10.0), 0.0));
        self::assertFalse($window->isNear(new Vector(3.4, 0.0, 10.0), 0.0));
    }

    /** In the coordinates of a part that hangs turned: a corner of the window is a corner of the part's. */
    public function test_a_part_that_lies_turned_is_looked_at_where_it_lies(): void
    {
        $pose = new Pose(30.0, 4.0, -2.0);
        foreach ([[0.0, 0.0], [7.0, 1.5], [-3.0, 12.0]] as [$x, $y]) {
            $back = $pose->from(...$pose->at($x, $y));
            self::assertEqualsWithDelta([$x, $y], $back, 1e-9);
            [$atX, $atY] = $pose->at($x, $y);
            $near = Glimpse::within([$atX - 0.1, $atY - 0.1, $atX + 0.1, $atY + 0.1])->on($pose);
            self::assertTrue($near->meets([$x, $y, $x, $y], 0.0));
            self::assertFalse($near->meets([$x + 1.0, $y, $x + 1.0, $y], 0.0));
        }
    }

    /**
     * Of every pattern's steps, before and after, from the front and the side: no stroke and no bead that lies in the
     * window is missing or other than it is in the whole, and nothing is there that the whole has not.
     */
    #[Group('wide')]
    public function test_a_window_shows_what_the_whole_shows_there(): void
    {
        $looked = 0;
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            $states = new FormingStates($plan);
            for ($step = 0; $step < $states->count(); $step += 3) {
                foreach ([View::Front, View::Side] as $view) {
                    $picture = FormingPicture::of($plan, $states, $step, $view);
                    [$left, $top, $right, $bottom] = $picture->focus($picture->after);
                    [$x, $y] = [($left + $right) / 2, ($top + $bottom) / 2];
                    $window = Glimpse::within([$x - 12.0, $y - 9.0, $x + 12.0, $y + 9.0]);
                    $seen = $picture->after->taking($window);
                    $where = "{$name}, {$view->value}: {$states->step($step)->title}";
                    self::assertAlike($picture->after->whole(), $seen, $x, $y, $where);
                    $looked++;
                }
            }
        }
        self::assertGreaterThan(1000, $looked);
    }

    private static function assertAlike(PieceFigure $whole, PieceFigure $seen, float $x, float $y, string $where): void
    {
        $isInside = function (Stroke|BeadMark $one) use ($x, $y): bool {
            [$left, $top, $right, $bottom] = $one->bounds();

            return $left > $x - 11.0 && $right < $x + 11.0 && $top > $y - 8.0 && $bottom < $y + 8.0;
        };
        $told = fn (Stroke $stroke): string => json_encode(
            [$stroke->layer, $stroke->rank, $stroke->mark, $stroke->runsOn, array_map(
                fn (array $command): array => array_map(
                    fn (string|float|int $value): string|float => is_string($value) ? $value : round($value, 2) + 0.0,
                    $command,
                ), $stroke->path,
            )], JSON_THROW_ON_ERROR,
        );
        $expected = array_map($told, array_values(array_filter($whole->farToNear(), $isInside)));
        $shown = array_map($told, array_values(array_filter($seen->farToNear(), $isInside)));
        self::assertSame($expected, $shown, $where);
        self::assertEquals(
            array_values(array_filter($whole->beads, $isInside)), array_values(array_filter($seen->beads, $isInside)),
            $where,
        );
    }
}

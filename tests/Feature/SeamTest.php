<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\Drawing;
use App\View\Seam;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use Hebra\Core\Wire\Metal;
use PHPUnit\Framework\TestCase;

/** Stretches that go on in each other are drawn as one, those that lie over each other are not. */
final class SeamTest extends TestCase
{
    /** @param  list<array{float, float}>  $through */
    private static function stroke(array $through): Stroke
    {
        $path = [];
        foreach ($through as $place => $point) {
            $path[] = [$place === 0 ? 'M' : 'L', ...$point];
        }
        /** @var non-empty-list<array{string, float, float}> $path */

        return new Stroke($path, 1.0, Metal::Copper, 1, 'p1:neck', runsOn: true);
    }

    public function test_a_stretch_goes_on_where_the_one_before_it_ends(): void
    {
        $neck = self::stroke([[0.0, 0.0], [0.0, 5.06]]);

        self::assertTrue(Seam::isOnly([$neck], self::stroke([[0.0, 4.94], [0.0, 9.0]])), 'straight on');
        self::assertTrue(Seam::isOnly([$neck], self::stroke([[0.0, 5.0], [6.0, 5.0]])), 'round a corner');
        self::assertFalse(Seam::isOnly([$neck], self::stroke([[0.0, 5.4], [0.0, 9.0]])), 'after a gap');
        self::assertFalse(Seam::isOnly([$neck], self::stroke([[0.0, 9.0], [0.0, 5.0]])), 'the other way');
    }

    public function test_a_stretch_that_comes_back_over_another_is_drawn_over_it(): void
    {
        $neck = self::stroke([[0.0, 0.0], [0.0, 5.0]]);
        $loop = self::stroke([[0.0, 5.0], [4.0, 5.0], [4.0, 2.0]]);

        self::assertFalse(Seam::isOnly([$neck], self::stroke([[0.0, 5.0], [3.0, 5.0], [3.0, 2.0], [-3.0, 2.0]])));
        self::assertFalse(Seam::isOnly([$neck], self::stroke([[0.0, 5.0], [0.4, 0.0]])), 'close beside it');
        self::assertTrue(Seam::isOnly([$loop], self::stroke([[4.0, 2.0], [4.0, -3.0]])), 'over nothing of the loop');
        self::assertFalse(Seam::isOnly([$neck, $loop], self::stroke([[4.0, 2.0], [-4.0, 2.0]])), 'over one before it');
    }

    /** Of every pattern from three sides: all that is drawn apart is drawn as one, in the same order. */
    public function test_nothing_is_lost_and_nothing_changes_its_order(): void
    {
        [$apart, $asOne] = [0, 0];
        foreach (Everything::patterns() as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            foreach ([View::Front, View::Side, View::Back] as $view) {
                [$each, $joined] = [self::drawn($plan, $view)->allApart(), self::drawn($plan, $view)];
                foreach ($each->layers() as $layer => $strokes) {
                    $ones = $joined->layers()[$layer];
                    $told = implode(array_column($strokes, 'path'));
                    self::assertSame($told, implode(array_column($ones, 'path')), "{$name}, {$view->value}");
                    [$apart, $asOne] = [$apart + count($strokes), $asOne + count($ones)];
                }
            }
        }
        self::assertLessThan(0.9 * $apart, $asOne, 'a tenth of them at least');
    }

    /** What is worked on keeps its mark, by which it is lit, and is nothing else with it. */
    public function test_what_is_lit_is_drawn_apart(): void
    {
        $lit = 0;
        foreach (Everything::patterns() as $name => $piece) {
            $plan = Planner::plan($piece, new Profile);
            foreach (array_slice($plan->steps(), intdiv(count($plan->steps()), 2), 1) as $step) {
                $drawing = self::drawn($plan, View::Front)->apart($step->marks);
                $all = self::drawn($plan, View::Front)->allApart();
                foreach ($drawing->layers() as $layer => $strokes) {
                    $of = fn (array $ones): array => array_values(array_filter(
                        $ones, fn (array $one): bool => in_array($one['mark'], $step->marks, true),
                    ));
                    self::assertEquals($of($all->layers()[$layer]), $of($strokes), "{$name}: {$step->title}");
                    $lit += count($of($strokes));
                }
            }
        }
        self::assertGreaterThan(80, $lit);
    }

    private static function drawn(Plan $plan, View $view): Drawing
    {
        return new Drawing($plan->seen($view), dimension: 0, ratioGiven: 1.0, byReference: false);
    }
}

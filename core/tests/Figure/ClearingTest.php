<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Figure;

use Hebra\Core\Figure\Clearing;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** The free round within a piece is what its settings say it is inside. */
final class ClearingTest extends TestCase
{
    /** Of rings for a finger as wide inside as they are made, but for beads and curls that come into them. */
    #[Group('wide')]
    public function test_a_ring_is_free_inside(): void
    {
        $rings = 0;
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            if ($plan->piece->fit->kind !== FitKind::Finger) {
                continue;
            }
            $free = Clearing::in($plan->assembly()->flat());
            self::assertNotNull($free, $name);
            self::assertEqualsWithDelta($plan->piece->fit->mm, 2 * $free->radiusMm, 0.12 * $plan->piece->fit->mm, $name);
            $rings++;
        }
        self::assertGreaterThan(6, $rings);
    }

    /** What is laid round a wrist leaves less than its length would, and more than half of that. */
    #[Group('wide')]
    public function test_a_bracelet_is_free_inside(): void
    {
        $round = 0;
        foreach (array_keys(Patterns::all()) as $name) {
            $plan = Planner::plan(Patterns::start($name, 'One'), new Profile);
            if ($plan->piece->fit->kind !== FitKind::Wrist || ! $plan->isLaidRound()) {
                continue;
            }
            $free = Clearing::in($plan->assembly()->flat());
            self::assertNotNull($free, $name);
            self::assertLessThan($plan->hangsMm() / M_PI, 2 * $free->radiusMm, $name);
            self::assertGreaterThan(0.4 * $plan->hangsMm() / M_PI, 2 * $free->radiusMm, $name);
            $round++;
        }
        self::assertGreaterThan(4, $round);
    }

    public function test_nothing_is_free_in_nothing(): void
    {
        self::assertNull(Clearing::in(new PieceFigure([], [])));
    }

    /** Whatever is drawn, it is found within it: what goes round nothing leaves little. */
    #[Group('wide')]
    public function test_it_is_found_within_every_piece(): void
    {
        foreach (array_keys(Patterns::all()) as $name) {
            $figure = Planner::plan(Patterns::start($name, 'One'), new Profile)->assembly()->flat();
            $free = Clearing::in($figure);
            self::assertNotNull($free, $name);
            [$left, $top, $right, $bottom] = $figure->bounds();
            self::assertTrue(
                $free->xMm >= $left && $free->xMm <= $right && $free->yMm >= $top && $free->yMm <= $bottom, $name,
            );
            self::assertLessThan(max($right - $left, $bottom - $top), $free->radiusMm, $name);
        }
    }
}

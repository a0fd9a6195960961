<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Market;

use Hebra\Core\Market\Breakage;
use Hebra\Core\Market\Needs;
use Hebra\Core\Market\Taken;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use PHPUnit\Framework\TestCase;

/** What makings take in all is what each plan says, as often as it is made. */
final class NeedsTest extends TestCase
{
    public function test_needs_are_those_of_the_plans_so_often(): void
    {
        foreach (['link-and-drop', 'charm-bracelet', 'bought-pins', 'corded-pendant', 'meander'] as $name) {
            $plan = Planner::plan(Patterns::start($name, 'x'), new Profile);
            $needs = Needs::of([[Taken::of($plan), 3], [Taken::of($plan), 2], [Taken::of($plan), 0]]);
            foreach ($plan->beads as $count) {
                self::assertSame(5 * $count->all, $needs->beads[$count->bead->key()]['count'], $name);
            }
            $pins = 0.0;
            foreach ($plan->findings as $finding) {
                $pins += $finding->isPin() ? $finding->lengthMm * $finding->all : 0.0;
            }
            $gross = array_sum(array_map(fn ($metal): float => $metal->grossMm, $plan->metal));
            self::assertEqualsWithDelta(
                5 * ($gross - $pins), array_sum(array_column($needs->wires, 'mm')), 1e-6, $name,
            );
        }
        self::assertSame([[], [], []], [Needs::of([])->wires, Needs::of([])->beads, Needs::of([])->findings]);
    }

    /** Nothing known: the usual one in so many. Much missed: more; nothing missed of many: fewer. */
    public function test_spares_follow_what_was_missed(): void
    {
        self::assertSame([0, 1, 5, 10], array_map(
            fn (int $count): int => Breakage::unknown()->spares($count, 20), [0, 1, 100, 200],
        ));
        self::assertSame(2, Breakage::of(1000, 0)->spares(200, 20));
        self::assertSame(35, Breakage::of(200, 60)->spares(200, 20));
        // More missed than used is no share of what is used.
        self::assertSame(Breakage::of(10, 10)->spares(100, 20), Breakage::of(10, 900)->spares(100, 20));
        $plan = Planner::plan(Patterns::start('link-and-drop', 'x'), new Profile);
        $key = $plan->beads[0]->bead->key();
        $needs = fn (array $known): int => Needs::of([[Taken::of($plan), 40]], $known)->beads[$key]['spares'];
        self::assertGreaterThan($needs([]), $needs([$key => Breakage::of(100, 50)]));
        self::assertLessThan($needs([]), $needs([$key => Breakage::of(4000, 0)]));
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Plan;

use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Tests\Piece\Everything;
use PHPUnit\Framework\TestCase;

/** What must hold of every plan holds of every pattern, every technique in each of its choices, and seeded changes of them. */
final class EveryPlanTest extends TestCase
{
    public function test_the_properties_hold_of_everything(): void
    {
        foreach (Everything::pieces() as $name => $piece) {
            Properties::all(Planner::plan($piece, new Profile), $name);
        }
    }

    public function test_nothing_bought_is_formed_or_chosen(): void
    {
        foreach (Everything::pieces(60) as $name => $piece) {
            Properties::asksNothingOfWhatIsBought(Planner::plan(Everything::bought($piece), new Profile), $name);
        }
    }
}

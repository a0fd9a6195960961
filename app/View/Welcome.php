<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;

/** The strip on the first page: a real one, computed like every other. */
final class Welcome
{
    public static function strip(): Strip
    {
        $plan = Planner::plan(Patterns::start('link-and-drop', 'Welcome'), new Profile);

        return new Strip($plan->cuts[1], new Profile, 1.75);
    }
}

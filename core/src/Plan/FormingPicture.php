<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\View;

/**
 * The picture of a step: the part it works on as it is after it, computed, at true proportions; the whole piece where a
 * step works on none alone.
 */
final class FormingPicture
{
    public static function after(Plan $plan, FormingStates $states, int $step, View $view = View::Front): Assembly
    {
        $part = $states->part($step);
        if ($part === null) {
            return $plan->seen($view);
        }
        $seen = new Seen($view->degrees());
        $seen->part(array_map(
            fn (Course $course): array => [$course, $part->wireOf($course->role)], $states->wires($part, $step),
        ));

        return (new Assembly([[$seen->figure(), new Pose]]))->fromTop();
    }
}

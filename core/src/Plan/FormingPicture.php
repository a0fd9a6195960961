<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Figure\Assembly;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\PieceFigure;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\Stroke;
use Hebra\Core\Figure\View;

/**
 * The picture of a step, computed, at true proportions: the part it works on as it was and as it is, and where the hands
 * are; the whole piece where a step works on none alone.
 */
final readonly class FormingPicture
{
    /** @param  list<string>  $marks  what the step works on */
    private function __construct(public ?PieceFigure $before, public PieceFigure $after, public array $marks)
    {
    }

    /** @param  int  $step  its place, from 0, among what is done once and what is done for one piece */
    public static function of(Plan $plan, FormingStates $states, int $step, View $view = View::Front): self
    {
        $part = $states->part($step);
        $marks = $states->step($step)->marks;
        if ($part === null) {
            return new self(null, $plan->seen($view)->flat(), $marks);
        }
        $isCut = $states->step($step)->operation === Operation::Cut;

        return new self(
            $isCut ? null : self::drawn($part, $states->wires($part, $step, true), $view),
            self::drawn($part, $states->wires($part, $step), $view), $marks,
        );
    }

    /** @param  list<Course>  $wires */
    private static function drawn(PartPlan $part, array $wires, View $view): PieceFigure
    {
        $seen = new Seen($view->degrees(), $view === View::Top);
        $seen->part(array_map(fn (Course $course): array => [$course, $part->wireOf($course->role)], $wires));

        return $seen->figure();
    }

    /** The whole of a figure, to be placed. */
    public static function whole(PieceFigure $figure): Assembly
    {
        return new Assembly([[$figure, new Pose]]);
    }

    /**
     * Where the hands are: the bounds of what the step works on; of all where it is nowhere.
     *
     * @return array{float, float, float, float} left, top, right, bottom, mm
     */
    public function focus(PieceFigure $figure): array
    {
        $isMarked = fn (Stroke|BeadMark $one): bool => in_array($one->mark, $this->marks, true);
        $strokes = array_values(array_filter($figure->strokes, $isMarked));
        $beads = array_values(array_filter($figure->beads, $isMarked));

        return ($strokes === [] && $beads === [] ? $figure : new PieceFigure($strokes, $beads))->bounds();
    }
}

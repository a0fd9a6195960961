<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Seen;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\PartPlan;

/** A technique whose wires are told as courses: what is cut and what is drawn are read off them. */
trait FromCourses
{
    /** @return list<Course> each wire of the part once, the main one first, as it lies with its face to the front, or its upper eye where it has none */
    abstract public function courses(PartPlan $part): array;

    /** @return array<string, Placement> where what hangs in its eyes hangs, as it lies so */
    abstract protected function hung(PartPlan $part): array;

    public function cuts(PartPlan $part): array
    {
        return $this->isBought($part->part)
            ? []
            : array_map(fn (Course $course): Cut => Cut::of($course, $part), $this->courses($part));
    }

    /** What is not told as a course yet, in the plane of its face. */
    protected function besides(PartPlan $part, Sketch $face): void
    {
    }

    /** Whether its face stands across its upper eye. */
    protected function isFaceAcross(PartPlan $part): bool
    {
        return false;
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        $isFace = $this->isFaceAcross($part) !== $place->facing;
        $seen = new Seen($sketch, $isFace ? 0.0 : 90.0);
        foreach ($this->courses($part) as $course) {
            $seen->course($course, $part->wireOf($course->role));
        }

        $face = new Sketch;
        $this->besides($part, $face);
        $sketch->add($isFace ? $face->figure() : $face->figure()->onEdge());

        return array_map(fn (Placement $eye): Placement => $seen->placed($eye, ! $isFace), $this->hung($part));
    }
}

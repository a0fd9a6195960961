<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Arc;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Scene\SceneBead;
use Hebra\Core\Scene\ScenePart;
use Hebra\Core\Scene\ScenePlate;
use Hebra\Core\Scene\SceneWire;
use Hebra\Core\Scene\Slab;

/** A piece in space: every part from its courses, turned as it hangs, bent as it lies, and where it hangs. */
final class PieceScene
{
    /**
     * @param  list<array{Instance, bool, Arc|null, Pose}>  $laid each part, whether its upper eye faces the viewer, how
     *     it is bent, and where it lies
     * @return list<ScenePart>
     */
    public static function of(array $laid): array
    {
        $poses = $first = [];
        foreach ($laid as [$instance, $facing, $arc, $pose]) {
            $key = spl_object_id($instance->part).'/'.(int) $facing.'/'.($arc === null ? '' : $arc->chordMm());
            $first[$key] ??= [$instance, $facing, $arc];
            $poses[$key][] = $pose;
        }

        return array_map(
            fn (array $one, array $where): ScenePart => self::part($one[0]->part, $one[1], $one[2], $where),
            array_values($first),
            array_values($poses),
        );
    }

    /** @param  non-empty-list<Pose>  $poses */
    private static function part(PartPlan $part, bool $facing, ?Arc $arc, array $poses): ScenePart
    {
        $isFace = $part->showsFace($facing);
        $placed = function (Vector $at) use ($isFace, $arc): Vector {
            $turned = $isFace ? $at : new Vector($at->z, $at->y, -$at->x);
            if ($arc === null) {
                return $turned;
            }
            [$x, $y] = $arc->at($turned->x, $turned->y);

            return new Vector($x, $y, $turned->z);
        };
        $wires = $beads = [];
        foreach ($part->settled() as $course) {
            $wires[] = new SceneWire(
                $course->label, $part->wireOf($course->role), self::curve($course, $placed), $course->colour,
            );
            array_push($beads, ...self::beads($course, $placed));
        }

        $plate = $part->technique->plate($part);

        return new ScenePart(
            $part->part->id->text, $wires, $beads, $poses, $plate === null
                ? null
                : new ScenePlate(Slab::of($plate, $placed), $plate->metal, $plate->colour),
        );
    }

    /** @param  \Closure(Vector): Vector  $placed */
    private static function curve(Course $course, \Closure $placed): Curve
    {
        $spans = [];
        foreach ($course->curves() as $at => $curve) {
            foreach ($course->moves[$at]->isSeen() ? $curve->spans : [] as $span) {
                $spans[] = new Span(
                    $placed($span->from), $placed($span->first), $placed($span->second), $placed($span->to),
                );
            }
        }

        return new Curve($spans);
    }

    /**
     * @param  \Closure(Vector): Vector  $placed
     * @return list<SceneBead>
     */
    private static function beads(Course $course, \Closure $placed): array
    {
        $beads = [];
        foreach ($course->curves() as $move => $curve) {
            foreach ($course->moves[$move]->standing($curve) as [$run, $at, $runs]) {
                $way = fn (Vector $towards): Vector => $placed($at->plus($towards->times(0.01)))
                    ->minus($placed($at))->unit();
                $ahead = $way($runs);
                $beads[] = new SceneBead($run->bead, $placed($at), $ahead->times($run->isTurned ? -1.0 : 1.0),
                    $way($run->face));
            }
        }

        return $beads;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * Beads of a part that would stand in the same place: each a body about its middle, half its length along its hole,
 * half
 * its width across, as thin as it is. Millimetres.
 */
final class Crowding
{
    /** Of the thinner of two: so much they may be squeezed, and beads vary [common practice]. */
    private const SQUEEZED = 0.15;

    /**
     * @param  list<Course>  $courses  of one part
     * @return list<array{Threaded, Threaded, float}> two that stand in each other, and by how much
     */
    public static function of(array $courses): array
    {
        $bodies = [];
        foreach ($courses as $course) {
            foreach ($course->curves() as $at => $curve) {
                array_push($bodies, ...$course->moves[$at]->standing($curve));
            }
        }
        usort($bodies, fn (array $one, array $other): int => $one[1]->x <=> $other[1]->x);
        $farthest = max([0.0, ...array_map(fn (array $body): float => self::reach($body[0]), $bodies)]);
        $crowded = [];
        foreach ($bodies as $place => $one) {
            for ($next = $place + 1; isset($bodies[$next]); $next++) {
                // From left to right: what lies farther off than any can reach is no neighbour, nor is what comes
                // after.
                if ($bodies[$next][1]->x - $one[1]->x > self::reach($one[0]) + $farthest) {
                    break;
                }
                $into = self::into($one, $bodies[$next]);
                if ($into > self::SQUEEZED * min(self::thin($one[0]), self::thin($bodies[$next][0]))) {
                    $crowded[] = [$one[0], $bodies[$next][0], $into];
                }
            }
        }

        return $crowded;
    }

    private static function reach(Threaded $run): float
    {
        return max($run->bead->widthMm, $run->bead->lengthMm) / 2;
    }

    private static function thin(Threaded $run): float
    {
        return min($run->bead->widthMm * $run->bead->shape->thickness(), $run->bead->lengthMm);
    }

    /**
     * @param  array{Threaded, Vector, Vector}  $one
     * @param  array{Threaded, Vector, Vector}  $other
     */
    private static function into(array $one, array $other): float
    {
        $way = $other[1]->minus($one[1]);
        $far = $way->lengthMm();
        $towards = $far < 1e-6 ? $one[2] : $way->times(1 / $far);

        return self::halfTowards($one, $towards) + self::halfTowards($other, $towards) - $far;
    }

    /**
     * How far a bead reaches from its middle in a direction.
     *
     * @param  array{Threaded, Vector, Vector}  $body
     */
    private static function halfTowards(array $body, Vector $towards): float
    {
        [$run, , $ahead] = $body;
        $along = $towards->dot($ahead);
        $deep = $ahead->z ** 2 > 0.9 ? 0.0 : $towards->z;
        $across = sqrt(max(0.0, 1 - $along ** 2 - $deep ** 2));
        [$half, $wide] = [$run->bead->lengthMm / 2, $run->bead->widthMm / 2];

        return 1 / sqrt(
            ($along / $half) ** 2 + ($across / $wide) ** 2 + ($deep / ($wide * $run->bead->shape->thickness())) ** 2,
        );
    }
}

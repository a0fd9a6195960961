<?php

declare(strict_types=1);

namespace App\Pdf;

/** A cubic curve of a quarter turn at most as points, for paper. */
final class Curves
{
    private const STEPS = 10;

    /**
     * @param  array{float, float}  $from
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $curve
     * @return list<array{float, float}> without the first
     */
    public static function points(array $from, array $curve): array
    {
        $points = [];
        for ($step = 1; $step <= self::STEPS; $step++) {
            $share = $step / self::STEPS;
            $rest = 1 - $share;
            [$a, $b, $c, $d] = [$rest ** 3, 3 * $rest ** 2 * $share, 3 * $rest * $share ** 2, $share ** 3];
            $points[] = [
                $a * $from[0] + $b * $curve[1] + $c * ($curve[3] ?? 0) + $d * ($curve[5] ?? 0),
                $a * $from[1] + $b * $curve[2] + $c * ($curve[4] ?? 0) + $d * ($curve[6] ?? 0),
            ];
        }

        return $points;
    }
}

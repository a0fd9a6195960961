<?php

declare(strict_types=1);

namespace App\Pdf;

/**
 * An elliptical arc of at most half a turn as points, as SVG has it. Source: SVG 1.1, appendix F.6, endpoint to centre.
 */
final class Arcs
{
    private const STEPS = 24;

    /** Of a cubic curve of a quarter turn at most. */
    private const CUBIC_STEPS = 10;

    /**
     * @param  array{float, float}  $from
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $curve
     * @return list<array{float, float}> without the first
     */
    public static function cubic(array $from, array $curve): array
    {
        $points = [];
        for ($step = 1; $step <= self::CUBIC_STEPS; $step++) {
            $share = $step / self::CUBIC_STEPS;
            $rest = 1 - $share;
            [$a, $b, $c, $d] = [$rest ** 3, 3 * $rest ** 2 * $share, 3 * $rest * $share ** 2, $share ** 3];
            $points[] = [
                $a * $from[0] + $b * $curve[1] + $c * ($curve[3] ?? 0) + $d * ($curve[5] ?? 0),
                $a * $from[1] + $b * $curve[2] + $c * ($curve[4] ?? 0) + $d * ($curve[6] ?? 0),
            ];
        }

        return $points;
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return list<array{float, float}> without the first
     */
    public static function points(
        array $from, array $to, float $rx, float $ry, float $degrees, bool $isClockwise,
    ): array {
        if ($rx <= 0 || $ry <= 0) {
            return [$to];
        }
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        [$dx, $dy] = [($from[0] - $to[0]) / 2, ($from[1] - $to[1]) / 2];
        [$x, $y] = [($cos * $dx + $sin * $dy) / $rx, (-$sin * $dx + $cos * $dy) / $ry];
        $far = hypot($x, $y);
        if ($far > 1) {
            // Too far apart for the radii: they grow.
            [$rx, $ry, $x, $y, $far] = [$rx * $far, $ry * $far, $x / $far, $y / $far, 1.0];
        }
        $aside = $far < 1e-9 ? 0.0 : sqrt(max(0.0, 1 - $far ** 2)) / $far * ($isClockwise ? 1 : -1);
        [$cx, $cy] = [$aside * $y, -$aside * $x];
        $start = atan2($y - $cy, $x - $cx);
        $turn = atan2(-$y - $cy, -$x - $cx) - $start;
        $turn += $isClockwise ? ($turn < 0 ? 2 * M_PI : 0) : ($turn > 0 ? -2 * M_PI : 0);
        $middle = [($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2];
        $points = [];
        for ($step = 1; $step <= self::STEPS; $step++) {
            $angle = $start + $turn * $step / self::STEPS;
            [$px, $py] = [$rx * ($cx + cos($angle)), $ry * ($cy + sin($angle))];
            $points[] = [$cos * $px - $sin * $py + $middle[0], $sin * $px + $cos * $py + $middle[1]];
        }

        return $points;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * How lengths that follow each other are turned so that they reach from one point to another: along a part of a circle,
 * the first and the last stood off, so that strands between the same ends lie beside each other. Lengths in
 * millimetres; degrees as a Pose has them, clockwise from straight down.
 */
final readonly class Bow
{
    private const MOST_DEGREES = 360.0;

    /** So much of each end, at least, stands off, mm. */
    private const END_MM = 12.0;

    /** @param  list<float>  $degrees  where each length points */
    private function __construct(
        public array $degrees,
        /** by how much the whole turns on its way, degrees */
        public float $turn,
        /** how far the ends stay apart where the lengths do not reach, mm */
        public float $shortMm,
    ) {
    }

    /**
     * @param  list<float>  $lengthsMm
     * @param  float  $xMm  where it is to end, from where it begins
     * @param  float  $side  1 to bulge to the right on the way down, -1 to the left
     * @param  float  $asideMm  how far it stands off
     * @param  float  $otherwise  where it points as a whole where it ends where it began
     */
    public static function between(
        array $lengthsMm, float $xMm, float $yMm, float $side, float $asideMm, float $otherwise = 90.0,
    ): self {
        $wanted = hypot($xMm, $yMm);
        [$least, $most] = [0.0, self::MOST_DEGREES];
        $splays = self::splays($lengthsMm, $side * $asideMm);
        $reached = self::reached($lengthsMm, 0.0, $splays);
        if ($reached[0] > $wanted) {
            for ($step = 0; $step < 60; $step++) {
                $turn = ($least + $most) / 2;
                self::reached($lengthsMm, $side * $turn, $splays)[0] > $wanted ? $least = $turn : $most = $turn;
            }
        } else {
            $most = 0.0;
        }
        $turn = $side * $most;
        [$length, $points] = self::reached($lengthsMm, $turn, $splays);
        // Straight down is 0, so a point to the left lies at 90.
        $whole = $wanted < 1e-6 ? $otherwise : rad2deg(atan2(-$xMm, $yMm));
        $shift = $whole - ($wanted < 1e-6 ? 0.0 : $points);

        return new self(
            array_map(fn (float $degrees): float => $degrees + $shift, self::headings($lengthsMm, $turn, $splays)),
            $turn,
            max(0.0, $wanted - $length),
        );
    }

    /**
     * By how much each length is turned so that those between the ends stand off to the right on the way down (to the
     * left: less than 0).
     *
     * @param  list<float>  $lengthsMm
     * @return list<float> degrees
     */
    public static function splays(array $lengthsMm, float $asideMm): array
    {
        $count = count($lengthsMm);
        /** @var list<float> $splays */
        $splays = array_fill(0, $count, 0.0);
        if (array_sum($lengthsMm) < 4 * self::END_MM || $count < 3) {
            return $splays;
        }
        foreach ([[range(0, $count - 1), -1], [range($count - 1, 0), 1]] as [$from, $way]) {
            [$reach, $end] = [0.0, []];
            foreach ($from as $index) {
                $end[] = $index;
                $reach += $lengthsMm[$index];
                if ($reach >= self::END_MM) {
                    break;
                }
            }
            $off = rad2deg(asin(max(-0.7, min(0.7, $asideMm / $reach))));
            foreach ($end as $index) {
                $splays[$index] += $way * $off;
            }
        }

        return array_values($splays);
    }

    /**
     * @param  list<float>  $lengthsMm
     * @param  list<float>  $splays
     * @return list<float>
     */
    private static function headings(array $lengthsMm, float $turn, array $splays): array
    {
        $all = array_sum($lengthsMm);
        $headings = [];
        $at = 0.0;
        foreach ($lengthsMm as $index => $length) {
            $headings[] = $turn * (($at + $length / 2) / max($all, 1e-9) - 0.5) + $splays[$index];
            $at += $length;
        }

        return $headings;
    }

    /**
     * @param  list<float>  $lengthsMm
     * @param  list<float>  $splays
     * @return array{float, float} how far it comes, and in which direction
     */
    private static function reached(array $lengthsMm, float $turn, array $splays): array
    {
        $x = $y = 0.0;
        $share = $turn / max(array_sum($lengthsMm), 1e-9);
        foreach (self::headings($lengthsMm, $turn, $splays) as $index => $degrees) {
            $chord = (new Arc(
                $lengthsMm[$index], Bow::bends($lengthsMm[$index]) ? $share * $lengthsMm[$index] : 0.0,
            ))->chordMm();
            $x -= $chord * sin(deg2rad($degrees));
            $y += $chord * cos(deg2rad($degrees));
        }

        return [hypot($x, $y), rad2deg(atan2(-$x, $y))];
    }

    /** A long part bends on its way round; a short one stays as it is and turns in its eyes. */
    public static function bends(float $lengthMm): bool
    {
        return $lengthMm >= 30.0;
    }
}

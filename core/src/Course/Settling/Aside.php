<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Vector;

/**
 * How far a wire was pushed aside, along it: a uniform cubic B-spline [de Boor, A practical guide to splines], so that
 * it goes on as smoothly as it did. Millimetres.
 *
 * @phpstan-type Knot array{float, float, float}
 */
final readonly class Aside
{
    /**
     * @param  array<int, Knot>  $knots  those that were pushed, the first of all before its first end
     * @param  array<int, array<int, float>>  $spans  by move and place in it the spans that are pushed, and how far
     *     along the wire each begins
     */
    private function __construct(public float $apartMm, private array $knots, public array $spans)
    {
    }

    /** @param  array<int, Knot>  $knots */
    public static function of(Course $course, float $apartMm, array $knots): self
    {
        $aside = new self($apartMm, $knots, []);
        [$spans, $mm] = [[], 0.0];
        foreach ($knots === [] ? [] : $course->curves() as $move => $curve) {
            foreach ($curve->spans as $place => $span) {
                $to = $mm + $span->lengthMm();
                if ($aside->isPushed($mm, $to)) {
                    $spans[$move][$place] = $mm;
                }
                $mm = $to;
            }
        }

        return new self($apartMm, $knots, $spans);
    }

    /** Whether any of a stretch is, from so far along the wire. */
    public function isPushed(float $fromMm, float $toMm): bool
    {
        $last = (int) floor($toMm / $this->apartMm) + 3;
        for ($knot = (int) floor($fromMm / $this->apartMm); $knot <= $last; $knot++) {
            if (isset($this->knots[$knot])) {
                return true;
            }
        }

        return false;
    }

    /**
     * How much each of four knots weighs at a share of the way from the second to the third.
     *
     * @return array{float, float, float, float}
     */
    public static function weights(float $share): array
    {
        $rest = 1 - $share;

        return [
            $rest ** 3 / 6, (3 * $share ** 3 - 6 * $share ** 2 + 4) / 6, (3 * $rest ** 3 - 6 * $rest ** 2 + 4) / 6,
            $share ** 3 / 6,
        ];
    }

    /** @return array{Vector, Vector} how far at a millimetre of it, and how much farther with each more */
    public function at(float $mm): array
    {
        $on = (int) floor(max(0.0, $mm) / $this->apartMm);
        $share = max(0.0, $mm) / $this->apartMm - $on;
        $rest = 1 - $share;
        $slopes = [
            -$rest ** 2 / 2, (3 * $share ** 2 - 4 * $share) / 2, (4 * $rest - 3 * $rest ** 2) / 2, $share ** 2 / 2,
        ];

        return [
            $this->mixed($on, self::weights($share)), $this->mixed($on, $slopes)->times(1 / $this->apartMm),
        ];
    }

    /** @param  array{float, float, float, float}  $shares */
    private function mixed(int $from, array $shares): Vector
    {
        [$x, $y, $z] = [0.0, 0.0, 0.0];
        foreach ($shares as $on => $share) {
            $by = $this->knots[$from + $on] ?? [0.0, 0.0, 0.0];
            [$x, $y, $z] = [$x + $share * $by[0], $y + $share * $by[1], $z + $share * $by[2]];
        }

        return new Vector($x, $y, $z);
    }
}

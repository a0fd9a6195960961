<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

/** Places of wires that are near each other, found by the cells of a grid they lie in. Millimetres. */
final class Contacts
{
    /** So far apart, beyond touching, two are near. */
    private const NEAR_MM = 0.1;

    /** A wire is no neighbour of itself within so many thicknesses. */
    private const ITSELF = 1.7;

    /** How many cells on two may lie that are near. */
    private const REACH = 2;

    /** More cells than a part is wide. */
    private const CELLS = 10_000;

    private readonly float $sizeMm;

    public function __construct(private readonly Bodies $bodies, private readonly Shift $shift)
    {
        $this->sizeMm = (max([0.1, ...$bodies->thick]) + self::NEAR_MM) / self::REACH;
    }

    /**
     * @param  float  $deep  of the thinner of two
     * @return list<array{int, int, float}> all that press so deep
     */
    public function pressing(float $deep): array
    {
        $there = array_keys(array_filter($this->bodies->isThere));
        $thick = $this->bodies->thick;

        return array_values(array_filter(
            $this->among(array_combine($there, $there), 0.0),
            fn (array $pair): bool => $deep * min($thick[$pair[0]], $thick[$pair[1]])
                < $pair[2] - $this->shift->apartMm($pair[0], $pair[1]),
        ));
    }

    /** @return list<array{int, int, float}> what was pushed so far, and what is near it */
    public function near(): array
    {
        return $this->among($this->shift->pushed, self::NEAR_MM);
    }

    /**
     * @param  array<int, int>  $some  places, each by itself
     * @return list<array{int, int, float}> one of them and another place, the one that is laid later second, and how
     *     far apart they touch
     */
    private function among(array $some, float $beyondMm): array
    {
        [$x, $y, $z, $thick] = [$this->shift->x, $this->shift->y, $this->shift->z, $this->bodies->thick];
        [$around, $known, $near] = [$this->around(), [], []];
        foreach ($some as $one) {
            $cell = $this->cell($one);
            $isLeft = $this->bodies->isLeft[$one];
            $others = $known[$cell][$isLeft] ??= $around($cell, $isLeft);
            [$atX, $atY, $atZ, $reach] = [$x[$one], $y[$one], $z[$one], $thick[$one] / 2 + $beyondMm];
            foreach ($this->bodies->isThere[$one] ? $others : [] as $other) {
                $far = $reach + $thick[$other] / 2;
                $asideX = $atX - $x[$other];
                $asideY = $atY - $y[$other];
                // Most lie too far aside: nothing more is asked of them.
                if ($asideX > $far || $asideX < -$far || $asideY > $far || $asideY < -$far) {
                    continue;
                }
                $asideZ = $atZ - $z[$other];
                $isNear = $asideX * $asideX + $asideY * $asideY + $asideZ * $asideZ < $far * $far;
                $touch = $far - $beyondMm;
                if ($isNear && ($other > $one || ! isset($some[$other])) && $this->meet($one, $other, $touch)) {
                    $near[] = $one < $other ? [$one, $other, $touch] : [$other, $one, $touch];
                }
            }
        }

        return $near;
    }

    /** Whether two places can press: not a wire's own next, nor two ends that are closed. */
    private function meet(int $one, int $other, float $touch): bool
    {
        $bodies = $this->bodies;
        $isNext = $bodies->wire[$one] === $bodies->wire[$other]
            && abs($bodies->mm[$one] - $bodies->mm[$other]) < self::ITSELF * $touch;

        return ! $isNext && ! ($bodies->isEnd[$one] && $bodies->isEnd[$other]);
    }

    /** @return \Closure(int, bool): list<int> what lies in a cell or beside it: passes of a weave where asked for */
    private function around(): \Closure
    {
        $cells = [[], []];
        foreach ($this->bodies->isThere as $place => $isThere) {
            if ($isThere) {
                $cells[(int) $this->bodies->isLeft[$place]][$this->cell($place)][] = $place;
            }
        }

        return function (int $cell, bool $isLeft) use ($cells): array {
            $around = [];
            foreach (self::beside() as $step) {
                $at = $cell + $step;
                array_push($around, ...($cells[0][$at] ?? []), ...($isLeft ? [] : $cells[1][$at] ?? []));
            }

            return $around;
        };
    }

    /** @return list<int> from a cell to itself and to those within reach */
    private static function beside(): array
    {
        /** @var list<int> $beside */
        static $beside = [];
        if ($beside === []) {
            foreach (range(-self::REACH, self::REACH) as $right) {
                foreach (range(-self::REACH, self::REACH) as $down) {
                    foreach (range(-self::REACH, self::REACH) as $near) {
                        $beside[] = ($right * self::CELLS + $down) * self::CELLS + $near;
                    }
                }
            }
        }

        return $beside;
    }

    private function cell(int $place): int
    {
        $half = intdiv(self::CELLS, 2);
        $right = (int) floor($this->shift->x[$place] / $this->sizeMm) + $half;
        $down = (int) floor($this->shift->y[$place] / $this->sizeMm) + $half;

        return ($right * self::CELLS + $down) * self::CELLS + (int) floor($this->shift->z[$place] / $this->sizeMm)
            + $half;
    }
}

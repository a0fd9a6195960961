<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * What every room is worth at given prices: the most that can be cut from it, no kind more often than it is wanted, and
 * the worth of what is left. A table over whole units, filled cut by cut; counts go in by doublings.
 *
 * Where lengths are no multiples of one unit, cuts are rounded down and rooms up, so that nothing is worth too little;
 * or, to make plans that really go, the other way round.
 */
final class CutKnapsack
{
    /** So many units at most: finer is not looked at. */
    private const MOST_UNITS = 6000;

    public readonly int $units;

    private readonly float $unitMm;

    /** @var list<int> */
    private readonly array $takes;

    /** @var list<int> */
    private readonly array $rooms;

    /** @var array<int, float> */
    private readonly array $left;

    /** @var array<int, float> */
    private array $worth = [];

    /** @var list<array{int, int, array<int, true>}> kind, how many at once, and the rooms where it was taken */
    private array $taken = [];

    public function __construct(private readonly CutProblem $problem, bool $isMakeable)
    {
        // Beyond the length that all cuts take and a coil, each millimetre is worth one, whatever is cut.
        $needed = 0.0;
        foreach ($problem->takes as $kind => $takes) {
            $needed += $takes * $problem->counts[$kind];
        }
        $most = $problem->rooms === [] ? 0.0 : max($problem->rooms);
        $useful = min($most, $needed + $problem->terms->coilMm + $problem->terms->keepMm + $problem->terms->trimMm);
        $this->unitMm = max(self::common([...$problem->takes, ...$problem->rooms]), $useful / self::MOST_UNITS);
        $this->units = (int) ceil($useful / $this->unitMm - 1e-9);
        $this->takes = array_map(
            fn (float $takes): int => max(
                1,
                (int) ($isMakeable ? ceil($takes / $this->unitMm - 1e-9) : floor($takes / $this->unitMm + 1e-9)),
            ),
            $problem->takes,
        );
        $this->rooms = array_map(
            fn (
                float $room,
            ): int => (int) ($isMakeable ? floor($room / $this->unitMm + 1e-9) : ceil($room / $this->unitMm - 1e-9)),
            $problem->rooms,
        );
        $left = [];
        for ($q = 0; $q <= $this->units; $q++) {
            $left[] = $problem->worthMm($q * $this->unitMm);
        }
        $this->left = $left;
    }

    /**
     * The largest unit of which all are multiples, mm, to a thousandth.
     *
     * @param  list<float>  $lengthsMm
     */
    private static function common(array $lengthsMm): float
    {
        $common = 0;
        foreach ($lengthsMm as $length) {
            $one = (int) round($length * 1000);
            while ($one > 0) {
                [$common, $one] = [$one, $common % $one];
            }
        }

        return max(1, $common) / 1000;
    }

    /**
     * @param  array<int, float>  $prices  by kind
     * @param  array<int, int>  $counts  how often each is wanted
     */
    public function fill(array $prices, array $counts): void
    {
        $worth = $this->left;
        $units = $this->units;
        $this->taken = [];
        foreach ($counts as $kind => $count) {
            for ($at = 1; $count > 0; $at *= 2) {
                $many = min($at, $count);
                $count -= $many;
                $takes = $many * $this->takes[$kind];
                $price = $many * $prices[$kind];
                if ($price <= 0.0) {
                    continue;
                }
                $taken = [];
                for ($q = $units, $from = $units - $takes; $from >= 0; $q--, $from--) {
                    $with = $worth[$from] + $price;
                    if ($with > $worth[$q]) {
                        $worth[$q] = $with;
                        $taken[$q] = true;
                    }
                }
                $this->taken[] = [$kind, $many, $taken];
            }
        }
        $this->worth = $worth;
    }

    /** What the room of an untouched piece of a type is worth. */
    public function worthOf(int $type): float
    {
        return $this->at($this->rooms[$type]);
    }

    /** What a room is worth; beyond the table each millimetre counts one. */
    public function worthMm(float $roomMm): float
    {
        return $this->at((int) ceil($roomMm / $this->unitMm - 1e-9));
    }

    private function at(int $q): float
    {
        return $q <= $this->units
            ? $this->worth[max(0, $q)]
            : $this->worth[$this->units] + ($q - $this->units) * $this->unitMm;
    }

    /** @return array<int, int> what is best cut from a piece of a type, by kind */
    public function best(int $type): array
    {
        $q = min($this->rooms[$type], $this->units);
        $cuts = [];
        for ($at = count($this->taken) - 1; $at >= 0; $at--) {
            [$kind, $many, $taken] = $this->taken[$at];
            if (isset($taken[$q])) {
                $cuts[$kind] = ($cuts[$kind] ?? 0) + $many;
                $q -= $many * $this->takes[$kind];
            }
        }

        return $cuts;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

/** Places by the cells of a grid that they lie in, so that only what is near is looked at. Millimetres. */
final class Cells
{
    /** How many cells on two may lie that are near. */
    private const REACH = 2;

    /** Passes of a weave, and what is close or held, apart from the rest. */
    private const REST = 0;

    private const LEFT = 1;

    /** @var array<int, array<int, array<int, array{list<int>, list<int>}>>> by how far right, down, and near */
    private array $cells = [];

    /** @var array<int, array{int, int, int}> of every place the cell it lies in */
    private array $cellOf = [];

    /** @var array<int, array<int, array<int, array<int, list<int>>>>> what was asked for, by cell, rest or all */
    private array $around = [];

    public function __construct(Bodies $bodies, Shift $shift, float $nearMm)
    {
        $sizeMm = $nearMm / self::REACH;
        foreach ($bodies->isThere as $place => $isThere) {
            $right = (int) floor($shift->x[$place] / $sizeMm);
            $down = (int) floor($shift->y[$place] / $sizeMm);
            $near = (int) floor($shift->z[$place] / $sizeMm);
            $this->cellOf[$place] = [$right, $down, $near];
            if ($isThere) {
                $this->cells[$right][$down][$near] ??= [[], []];
                $this->cells[$right][$down][$near][$bodies->isLeft[$place] ? self::LEFT : self::REST][] = $place;
            }
        }
    }

    /** @return list<int> what may be near a place: also what is left as it is, or only the rest */
    public function around(int $place, bool $withLeft): array
    {
        [$right, $down, $near] = $this->cellOf[$place];

        return $this->around[$right][$down][$near][(int) $withLeft] ??= $this->beside($this->cellOf[$place], $withLeft);
    }

    /**
     * @param  array{int, int, int}  $cell
     * @return list<int>
     */
    private function beside(array $cell, bool $withLeft): array
    {
        [$right, $down, $near] = $cell;
        $beside = [];
        foreach (self::within($this->cells, $right) as $row) {
            foreach (self::within($row, $down) as $column) {
                foreach (self::within($column, $near) as [$rest, $left]) {
                    array_push($beside, ...$rest, ...($withLeft ? $left : []));
                }
            }
        }

        return $beside;
    }

    /**
     * @template T
     *
     * @param  array<int, T>  $all
     * @return list<T> those that lie so near one of them
     */
    private static function within(array $all, int $at): array
    {
        $within = [];
        for ($beside = $at - self::REACH; $beside <= $at + self::REACH; $beside++) {
            if (isset($all[$beside])) {
                $within[] = $all[$beside];
            }
        }

        return $within;
    }
}

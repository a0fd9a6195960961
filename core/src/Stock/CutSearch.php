<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * Branch and bound: cut by cut, long ones first, each tried in every piece it goes into, that first in which least is
 * lost at the prices; what cannot be better than the best known is left. Cuts of one kind go into pieces in one order
 * only. Of plans that lose the same the one that leaves the longest length, then touches fewest pieces, then those
 * first in stock.
 */
final class CutSearch
{
    private const SAME = 1e-7;

    /** @var list<array{int, array<int, int>}>|null type and cuts by kind of each piece touched */
    public ?array $best = null;

    public float $bestMm;

    /** @var array{float, int, list<int>} longest left, pieces touched, their types */
    private array $bestTie = [-INF, PHP_INT_MAX, []];

    public bool $isWhole = true;

    public int $nodes = 0;

    /** @var array<int, array{int, float, array<int, int>}> type, room left, cuts by kind */
    private array $open = [];

    /** @var array<int, int> untouched pieces of each type */
    private array $free;

    /** @var array<int, int> */
    private array $rest;

    /** @var array<int, float> */
    private array $opens;

    public function __construct(
        private readonly CutProblem $problem,
        private readonly CutPrices $prices,
        private readonly Patience $patience,
        ?float $knownMm = null,
        private readonly int $mostNodes = PHP_INT_MAX,
        private readonly bool $mindsTies = true,
    ) {
        $this->bestMm = $knownMm ?? INF;
        $this->free = $problem->pieces;
        $this->rest = $problem->counts;
        $this->opens = array_map(
            fn (int $type): float => $problem->opening[$type] - $prices->worthOf($type),
            array_keys($problem->rooms),
        );
    }

    /** @phpstan-impure */
    public function run(): void
    {
        $lower = 0.0;
        foreach ($this->prices->prices as $kind => $price) {
            $lower += $price * $this->rest[$kind];
        }
        foreach ($this->opens as $type => $gain) {
            $lower += min(0.0, $gain) * $this->free[$type];
        }
        $this->place(0, 0, $lower);
    }

    private function place(int $kind, int $from, float $lower): void
    {
        while ($kind < count($this->rest) && $this->rest[$kind] === 0) {
            $kind++;
            $from = 0;
        }
        if ($kind === count($this->rest)) {
            $this->reached();

            return;
        }
        if (++$this->nodes % 256 === 0 && $this->patience->isOver($this->nodes) || $this->nodes > $this->mostNodes) {
            $this->isWhole = false;

            return;
        }
        $takes = $this->problem->takes[$kind];
        $price = $this->prices->prices[$kind];
        $tries = [];
        $seen = [];
        foreach ($this->open as $at => [$type, $room]) {
            if ($at < $from || $room < $takes - 1e-9) {
                continue;
            }
            // Pieces alike in what is left of them are the same.
            $alike = $type.'/'.round($room, 4);
            if (isset($seen[$alike])) {
                continue;
            }
            $seen[$alike] = true;
            $tries[] = [
                $lower - $price + $this->prices->worthMm($room) - $this->prices->worthMm($room - $takes),
                $at,
                -1,
            ];
        }
        foreach ($this->free as $type => $count) {
            $room = $this->problem->rooms[$type];
            if ($count > 0 && $room >= $takes - 1e-9) {
                $tries[] = [
                    $lower - $price - min(
                        0.0,
                        $this->opens[$type],
                    ) + $this->problem->opening[$type] - $this->prices->worthMm($room - $takes),
                    count($this->open),
                    $type,
                ];
            }
        }
        usort($tries, fn (array $a, array $b): int => [$a[0], $a[1], $a[2]] <=> [$b[0], $b[1], $b[2]]);
        $this->rest[$kind]--;
        foreach ($tries as [$now, $at, $type]) {
            if ($now > $this->bestMm + ($this->mindsTies ? self::SAME : -self::SAME)) {
                break;
            }
            if ($type >= 0) {
                $this->free[$type]--;
                $this->open[] = [$type, $this->problem->rooms[$type], array_fill(0, count($this->rest), 0)];
            }
            [$of, $room, $cuts] = $before = $this->open[$at];
            $cuts[$kind]++;
            $this->open[$at] = [$of, $room - $takes, $cuts];
            $this->place($kind, $at, $now);
            $this->open[$at] = $before;
            if ($type >= 0) {
                array_pop($this->open);
                $this->free[$type]++;
            }
            if (! $this->isWhole && ($this->nodes > $this->mostNodes || $this->patience->isOver($this->nodes))) {
                break;
            }
        }
        $this->rest[$kind]++;
    }

    private function reached(): void
    {
        $lost = 0.0;
        foreach ($this->open as [$type, $room]) {
            $lost += $this->problem->opening[$type] - $this->problem->worthMm($room);
        }
        if ($lost > $this->bestMm + self::SAME) {
            return;
        }
        $tie = $this->tie();
        if ($lost < $this->bestMm - self::SAME || $this->best === null || $tie < $this->bestTie) {
            $this->bestMm = min($this->bestMm, $lost);
            $this->bestTie = $tie;
            $this->best = array_values(array_map(fn (array $piece): array => [$piece[0], $piece[2]], $this->open));
        }
    }

    /** @return array{float, int, list<int>} smaller is better */
    private function tie(): array
    {
        $longest = 0.0;
        foreach ($this->open as [, $room]) {
            $longest = max($longest, $room - $this->problem->terms->trimMm);
        }
        foreach ($this->free as $type => $count) {
            if ($count > 0 && ! $this->problem->rows[$type]->isBought()) {
                $longest = max($longest, $this->problem->rows[$type]->lengthMm);
            }
        }
        $types = array_values(array_map(fn (array $piece): int => $piece[0], $this->open));
        sort($types);

        return [-round($longest, 6), count($this->open), $types];
    }
}

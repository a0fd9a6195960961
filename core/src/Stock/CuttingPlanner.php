<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * Plans which cut comes from which piece of stock: prices are moved towards the best bound, and plans made at them on
 * the way; then a few pieces at a time are cut anew, and the whole is searched where it is small enough, until it is
 * proved or patience is over. The same input and patience in nodes give the same plan.
 */
final class CuttingPlanner
{
    /** Moves of the prices at most, and after how many of them a plan is made at them. */
    private const ROUNDS = 260;

    private const DIVE_EVERY = 12;

    /** What a move, and a plan made at prices, count as nodes. */
    private const MOVE_NODES = 40;

    /** Nodes of the search over a few pieces. */
    private const FEW_NODES = 500;

    /** How long few cuts are searched before they are worked out state by state. */
    private const QUICK_NODES = 6_000;

    /** How often pieces are cut anew without getting better. */
    private const TRIES = 400;

    private int $nodes = 0;

    /** @var list<array{int, array<int, int>}> */
    private array $plan = [];

    private float $lostMm = INF;

    private function __construct(private readonly CutProblem $problem, private readonly Patience $patience)
    {
    }

    /**
     * @param  list<CutKind>  $cuts
     * @param  list<StockRow>  $stock
     *
     * @throws CannotCut if a cut is longer than any stock, or the stock does not reach
     */
    public static function plan(array $cuts, array $stock, CuttingTerms $terms, Patience $patience): CuttingPlan
    {
        $longest = array_reduce($stock, fn (float $most, StockRow $row): float => max($most, $row->lengthMm), 0.0);
        foreach ($cuts as $cut) {
            $cut->lengthMm <= $longest + 1e-9 || throw CannotCut::tooLong($cut, $longest);
        }
        if ($cuts === []) {
            return new CuttingPlan([], 0.0, 0.0, true, $terms);
        }
        usort($cuts, fn (CutKind $a, CutKind $b): int => $b->lengthMm <=> $a->lengthMm);
        [$rows, $available] = self::types($stock, $cuts, $terms);

        return (new self(new CutProblem($cuts, $rows, $available, $terms), $patience))->made($stock);
    }

    /**
     * Rows of one length are one type. Of what is still to be bought no two pieces are half used in the best plan,
     * since both cuts out of one lose less, as long as the worth of a length just kept is no more than what handling
     * and buying one cost.
     *
     * @param  list<StockRow>  $stock
     * @param  non-empty-list<CutKind>  $cuts
     * @return array{list<StockRow>, list<int>}
     */
    private static function types(array $stock, array $cuts, CuttingTerms $terms): array
    {
        $all = array_sum(array_map(fn (CutKind $cut): int => $cut->count, $cuts));
        $needed = array_sum(
            array_map(fn (CutKind $cut): float => $cut->count * ($cut->lengthMm + $terms->trimMm), $cuts),
        );
        $isMerged = $terms->worthMm($terms->keepMm) <= $terms->handlingMm + $terms->buyMm;
        $types = $available = [];
        foreach ($stock as $row) {
            $key = round($row->lengthMm, 6).($row->isBought() ? ' bought' : '');
            $types[$key] ??= $row;
            $bought = $isMerged ? min($all, (int) floor(2 * $needed / ($row->lengthMm + $terms->trimMm)) + 1) : $all;
            $available[$key] = min($all, ($available[$key] ?? 0) + ($row->isBought() ? $bought : $row->count));
        }

        return [array_values($types), array_values($available)];
    }

    /** @param  list<StockRow>  $stock */
    private function made(array $stock): CuttingPlan
    {
        $prices = new CutPrices($this->problem);
        $dive = new CutDive($this->problem);
        for ($round = 0; $round < self::ROUNDS && ! $this->patience->isOver($this->nodes); $round++) {
            if ($round % self::DIVE_EVERY === 0) {
                $this->take($dive->plan($prices->prices, $this->problem->counts, $this->problem->pieces, 4));
            }
            $this->nodes += self::MOVE_NODES;
            if (! $prices->improve($this->lostMm === INF ? $this->guessMm() : $this->lostMm)) {
                break;
            }
        }
        $prices->settle();
        if ($this->plan === [] || ! $this->patience->isOver($this->nodes)) {
            $this->take($dive->plan($prices->prices, $this->problem->counts, $this->problem->pieces));
        }
        if ($this->plan === []) {
            $this->findAny($prices);
        }
        $isProved = $this->lostMm - $prices->boundMm < 1e-6;
        if ($this->isSmall()) {
            $isProved = $this->proved($prices);
        }
        if (! $isProved) {
            $this->cutAnew($prices, $dive);
            $isProved = $this->lostMm - $prices->boundMm < 1e-6 || $this->searchWhole($prices);
        }
        $bound = $isProved ? $this->lostMm : min($this->lostMm, max(0.0, $prices->boundMm));

        return new CuttingPlan($this->named($stock), $this->lostMm, $bound, $isProved, $this->problem->terms);
    }

    /** @param  array{list<array{int, array<int, int>}>, float}|null  $found */
    private function take(?array $found): void
    {
        if ($found !== null && $found[1] < $this->lostMm - 1e-9) {
            [$this->plan, $this->lostMm] = $found;
        }
    }

    private function isSmall(): bool
    {
        return array_sum($this->problem->counts) <= CutTable::MOST_CUTS;
    }

    /**
     * Few cuts are searched, ties minded, as far as that goes quickly; what is not proved by then is worked out state
     * by state.
     */
    private function proved(CutPrices $prices): bool
    {
        if ($this->searchWhole($prices, self::QUICK_NODES)) {
            return true;
        }
        $table = new CutTable($this->problem, $prices, $this->patience, $this->lostMm + 1e-6);
        $this->take($table->plan());
        $this->nodes += $table->nodes;

        return $table->isWhole;
    }

    /** What is lost if every cut cost its length, and each piece were touched once: a start for the prices. */
    private function guessMm(): float
    {
        $all = 0.0;
        foreach ($this->problem->takes as $kind => $takes) {
            $all += $takes * $this->problem->counts[$kind];
        }

        return 1.2 * $all + 100.0;
    }

    private function searchWhole(CutPrices $prices, int $mostNodes = PHP_INT_MAX): bool
    {
        $search = new CutSearch($this->problem, $prices, $this->patience, $this->lostMm, $mostNodes);
        $search->run();
        $this->nodes += $search->nodes;
        if ($search->best !== null) {
            [$this->plan, $this->lostMm] = [$search->best, min($this->lostMm, $search->bestMm)];
        }

        return $search->isWhole;
    }

    /**
     * A few touched pieces at a time are cut anew, with what is untouched at hand: by a dive at prices a little off,
     * or, of two, by search. Which and how far off follows a fixed sequence.
     */
    private function cutAnew(CutPrices $prices, CutDive $dive): void
    {
        $state = 12345;
        $next = function (int $most) use (&$state): int {
            $state = ($state * 1103515245 + 12345) % 2147483648;

            return intdiv($state, 65536) % $most;
        };
        for (
            $idle = 0; $idle < self::TRIES
            && count($this->plan) > 0
            && ! $this->patience->isOver($this->nodes); $idle++
        ) {
            $many = min(count($this->plan), 2 + $next(7));
            $chosen = [];
            while (count($chosen) < $many) {
                $chosen[$next(count($this->plan))] = true;
            }
            $chosen = array_keys($chosen);
            [$counts, $free, $lost] = $this->without($chosen);
            $off = array_map(fn (float $price): float => $price * (0.94 + 0.12 * $next(1000) / 1000), $prices->prices);
            $found = $many <= 2 ? $this->searched($prices, $counts, $free, $lost) : $dive->plan($off, $counts, $free);
            $this->nodes += self::MOVE_NODES;
            if ($found !== null && $found[1] < $lost + 1e-9) {
                $idle = $found[1] < $lost - 1e-6 ? 0 : $idle;
                $this->plan = [...array_values(array_diff_key($this->plan, array_flip($chosen))), ...$found[0]];
                $this->lostMm += $found[1] - $lost;
            }
        }
    }

    /**
     * @param  list<int>  $chosen  places in the plan
     * @return array{array<int, int>, array<int, int>, float} their cuts by kind, what is untouched without them, and
     *     what they lose
     */
    private function without(array $chosen): array
    {
        $free = $this->problem->pieces;
        foreach ($this->plan as [$type]) {
            $free[$type]--;
        }
        $counts = array_fill(0, count($this->problem->counts), 0);
        $lost = 0.0;
        foreach ($chosen as $at) {
            [$type, $cuts] = $this->plan[$at];
            $free[$type]++;
            $room = $this->problem->rooms[$type];
            foreach ($cuts as $kind => $count) {
                $counts[$kind] += $count;
                $room -= $count * $this->problem->takes[$kind];
            }
            $lost += $this->problem->opening[$type] - $this->problem->worthMm($room);
        }

        return [$counts, $free, $lost];
    }

    /**
     * @param  array<int, int>  $counts
     * @param  array<int, int>  $free
     * @return array{list<array{int, array<int, int>}>, float}|null
     */
    private function searched(CutPrices $prices, array $counts, array $free, float $lostMm): ?array
    {
        $search = new CutSearch(
            $this->problem->part($counts, $free),
            $prices,
            $this->patience,
            $lostMm - 1e-6,
            self::FEW_NODES,
            false,
        );
        $search->run();
        $this->nodes += $search->nodes;

        return $search->best === null ? null : [$search->best, $search->bestMm];
    }

    /** Any plan: each cut, long ones first, into the shortest piece that still takes it. */
    private function findAny(CutPrices $prices): void
    {
        $free = $this->problem->pieces;
        $open = [];
        foreach ($this->problem->counts as $kind => $count) {
            for ($left = $count; $left > 0; $left -= $many) {
                $best = $this->tightest($open, $kind) ?? $this->opened($open, $free, $kind);
                if ($best === null) {
                    // So it does not go; perhaps another way.
                    $this->searchWhole($prices);
                    $this->plan !== []
                        || throw CannotCut::tooLittle(
                            $this->problem->kinds[$kind],
                            $left,
                            $left * $this->problem->kinds[$kind]->lengthMm,
                        );

                    return;
                }
                // The tightest stays so while it takes one more.
                [$type, $room, $cuts] = $open[$best];
                $many = min($left, max(1, (int) floor(($room + 1e-9) / $this->problem->takes[$kind])));
                $cuts[$kind] += $many;
                $open[$best] = [$type, $room - $many * $this->problem->takes[$kind], $cuts];
            }
        }
        $this->plan = array_values(array_map(fn (array $piece): array => [$piece[0], $piece[2]], $open));
        $this->lostMm = 0.0;
        foreach ($open as [$type, $room]) {
            $this->lostMm += $this->problem->opening[$type] - $this->problem->worthMm($room);
        }
    }

    /**
     * The piece with the least room that still takes one.
     *
     * @param  array<int, array{int, float, array<int, int>}>  $open
     */
    private function tightest(array $open, int $kind): ?int
    {
        $best = null;
        foreach ($open as $at => [, $room]) {
            if ($room >= $this->problem->takes[$kind] - 1e-9 && ($best === null || $room < $open[$best][1])) {
                $best = $at;
            }
        }

        return $best;
    }

    /**
     * The shortest untouched piece that takes one, touched now.
     *
     * @param  array<int, array{int, float, array<int, int>}>  $open
     * @param  array<int, int>  $free
     */
    private function opened(array &$open, array &$free, int $kind): ?int
    {
        $type = null;
        foreach ($free as $one => $left) {
            $room = $this->problem->rooms[$one];
            if (
                $left > 0
                && $room >= $this->problem->takes[$kind] - 1e-9
                && ($type === null || $room < $this->problem->rooms[$type])
            ) {
                $type = $one;
            }
        }
        if ($type === null) {
            return null;
        }
        $free[$type]--;
        $open[] = [$type, $this->problem->rooms[$type], array_fill(0, count($this->problem->counts), 0)];

        return count($open) - 1;
    }

    /**
     * The plan in the words of the stock: rows in their order, each piece once.
     *
     * @param  list<StockRow>  $stock
     * @return list<CutPiece>
     */
    private function named(array $stock): array
    {
        $left = array_map(fn (StockRow $row): int => $row->isBought() ? PHP_INT_MAX : $row->count, $stock);
        $pieces = [];
        foreach ($this->plan as [$type, $cuts]) {
            $room = $this->problem->rooms[$type];
            $named = [];
            foreach ($cuts as $kind => $count) {
                if ($count > 0) {
                    $label = $this->problem->kinds[$kind]->label;
                    $named[$label] = ($named[$label] ?? 0) + $count;
                    $room -= $count * $this->problem->takes[$kind];
                }
            }
            $of = $this->problem->rows[$type];
            foreach ($stock as $at => $row) {
                if (
                    $left[$at] > 0
                    && $row->isBought() === $of->isBought()
                    && abs($row->lengthMm - $of->lengthMm) < 1e-6
                ) {
                    $left[$at]--;
                    $pieces[] = new CutPiece($row, $named, max(0.0, $room - $this->problem->terms->trimMm), $at);
                    break;
                }
            }
        }
        usort(
            $pieces,
            fn (CutPiece $a, CutPiece $b): int => [$a->rowAt, $a->remainderMm] <=> [$b->rowAt, $b->remainderMm],
        );

        return $pieces;
    }
}

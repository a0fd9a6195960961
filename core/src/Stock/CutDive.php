<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * A plan made piece by piece at given prices: the piece from which most is gained is cut as is best for what is still
 * wanted, then the next. Quick, and good where the prices are.
 */
final readonly class CutDive
{
    private CutKnapsack $knapsack;

    public function __construct(private CutProblem $problem)
    {
        $this->knapsack = new CutKnapsack($problem, true);
    }

    /**
     * @param  array<int, float>  $prices
     * @param  array<int, int>  $wanted  by kind
     * @param  array<int, int>  $free  untouched pieces by type
     * @param  int  $together  pieces that are cut before it is weighed anew
     * @return array{list<array{int, array<int, int>}>, float}|null type and cuts of each piece, and what is lost; null
     *     where it does not go
     */
    public function plan(array $prices, array $wanted, array $free, int $together = 1): ?array
    {
        $plan = [];
        $lost = 0.0;
        $raised = 0;
        while (array_sum($wanted) > 0) {
            $this->knapsack->fill($prices, array_filter($wanted));
            $taken = 0;
            foreach ($this->byGain($free) as $type => $gain) {
                $cuts = $this->knapsack->best($type);
                // What went before may have used up what was best here.
                if (
                    $cuts === []
                    || array_filter(
                        $cuts, fn (int $count, int $kind): bool => $wanted[$kind] < $count, ARRAY_FILTER_USE_BOTH,
                    ) !== []
                ) {
                    continue;
                }
                $room = $this->problem->rooms[$type];
                foreach ($cuts as $kind => $count) {
                    $wanted[$kind] -= $count;
                    $room -= $count * $this->problem->takes[$kind];
                }
                $free[$type]--;
                $lost += $this->problem->opening[$type] - $this->problem->worthMm($room);
                $plan[] = [$type, $cuts];
                if (++$taken >= $together) {
                    break;
                }
            }
            if ($taken === 0) {
                // Nothing is worth cutting at these prices, or nothing goes in.
                if (++$raised > 12) {
                    return null;
                }
                $prices = array_map(fn (float $price): float => 1.5 * $price + 1.0, $prices);
            }
        }

        return [$plan, $lost];
    }

    /**
     * @param  array<int, int>  $free
     * @return array<int, float> types that are there, from which most is gained first
     */
    private function byGain(array $free): array
    {
        $gains = [];
        foreach ($free as $type => $count) {
            if ($count > 0) {
                $gains[$type] = $this->problem->opening[$type] - $this->knapsack->worthOf($type);
            }
        }
        asort($gains);

        return $gains;
    }
}

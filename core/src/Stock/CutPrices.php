<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * A proven lower bound, and the prices it stands on. Each kind of cut is given a price π; then a room q is worth at
 * most W(q), a knapsack, and whatever is done
 *
 *   value lost ≥ Σ π·count + Σ over pieces min(0, opening − W(room)).
 *
 * Prices are moved along the subgradient (cuts wanted less cuts made) with Polyak's step.
 * Source: Lagrangian relaxation of the cutting-stock problem, as in Geoffrion 1974, Lagrangean relaxation for integer
 * programming.
 */
final class CutPrices
{
    /** Moves without a better bound after which they become smaller, and how much of the last direction is kept. */
    private const STALLED = 9;

    private const MEMORY = 0.5;

    /** @var array<int, float> */
    public array $prices;

    public float $boundMm = -INF;

    /** @var array<int, float> the prices of the best bound */
    private array $best;

    /** @var array<int, float> */
    private array $along = [];

    private float $slack = 1.0;

    private int $since = 0;

    private readonly CutKnapsack $knapsack;

    public function __construct(private readonly CutProblem $problem)
    {
        $this->knapsack = new CutKnapsack($problem, false);
        $this->prices = array_map(fn (float $takes): float => 0.8 * $takes, $problem->takes);
        $this->best = $this->prices;
    }

    /**
     * Moves the prices once, towards the best bound; a plan that loses so much is known. False where they have come to
     * rest.
     */
    public function improve(float $knownMm): bool
    {
        $this->knapsack->fill($this->prices, $this->problem->counts);
        [$bound, $made] = $this->bound();
        if ($bound > $this->boundMm + 1e-6 * max(1.0, abs($bound))) {
            [$this->boundMm, $this->best, $this->since] = [$bound, $this->prices, 0];
        } elseif (++$this->since >= self::STALLED) {
            [$this->slack, $this->since] = [$this->slack * 0.6, 0];
        }
        // Per millimetre, so that long and short cuts move alike.
        $norm = 0.0;
        foreach ($this->problem->counts as $kind => $count) {
            $this->along[$kind] = (1 - self::MEMORY) * ($count - $made[$kind]) * $this->problem->takes[$kind]
                + self::MEMORY * ($this->along[$kind] ?? 0.0);
            $norm += $this->along[$kind] ** 2;
        }
        if ($norm < 1e-6 || $knownMm - $this->boundMm < 1e-7 || $this->slack < 0.003) {
            return false;
        }
        $step = $this->slack * max(1e-6, $knownMm - $bound) / $norm;
        foreach ($this->along as $kind => $by) {
            $this->prices[$kind] = max(0.0, $this->prices[$kind] + $step * $by * $this->problem->takes[$kind]);
        }

        return true;
    }

    /** Goes back to the best prices, for a search to stand on. */
    public function settle(): void
    {
        $this->prices = $this->best;
        $this->knapsack->fill($this->prices, $this->problem->counts);
        $this->boundMm = max($this->boundMm, $this->bound()[0]);
    }

    /** @return array{float, array<int, int>} the bound at these prices, and how often each kind would be cut */
    private function bound(): array
    {
        $bound = 0.0;
        foreach ($this->prices as $kind => $price) {
            $bound += $price * $this->problem->counts[$kind];
        }
        $made = array_fill(0, count($this->prices), 0);
        foreach ($this->problem->pieces as $type => $pieces) {
            $gain = $this->problem->opening[$type] - $this->worthOf($type);
            if ($gain >= 0 || $pieces === 0) {
                continue;
            }
            $bound += $gain * $pieces;
            foreach ($this->knapsack->best($type) as $kind => $count) {
                $made[$kind] += $count * $pieces;
            }
        }

        return [$bound, $made];
    }

    /** What the room of an untouched piece is worth. */
    public function worthOf(int $type): float
    {
        return $this->knapsack->worthOf($type);
    }

    /** What a room is worth at these prices, never too little. */
    public function worthMm(float $roomMm): float
    {
        return $this->knapsack->worthMm($roomMm);
    }
}

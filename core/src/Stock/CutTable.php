<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * The best plan for few cuts, proved: piece after piece of the stock, the cuts that are still open are a state, a bit
 * each, and of all ways to a state only the one that has lost least is kept; states that cannot lead below the best
 * plan known, by the bound of the prices, are left. Pieces of which there are as many as cuts come last: there the last
 * cut still open is in the next piece.
 *
 * Cuts of one kind are taken from the last to the first, so that each state stands for one way of counting them.
 * Source: dynamic programming over subsets, as in Held and Karp 1962; bounded by the Lagrangian of CutPrices.
 */
final class CutTable
{
    public const MOST_CUTS = 15;

    private const SAME = 1e-9;

    public int $nodes = 0;

    public bool $isWhole = true;

    /** @var list<int> the kind of each cut */
    private array $kinds = [];

    /** @var array<int, float> room that the cuts of a state take, and what the prices give for them */
    private array $takes = [0.0];

    /** @var array<int, float> */
    private array $priced = [0.0];

    /** @var array<int, bool> whether a state takes the cuts of each kind from the first on */
    private array $isCounted = [true];

    /**
     * @var array<int, array{float, int}> by state: what one piece without end loses for just these cuts, and its type
     */
    private array $endless = [];

    /**
     * @var array<int, array{float, int}> by state: what is lost at least for these cuts in pieces without end, and the
     *     cuts of the first of them
     */
    private array $rest = [[0.0, 0]];

    public function __construct(
        private readonly CutProblem $problem,
        private readonly CutPrices $prices,
        private readonly Patience $patience,
        private float $mostMm,
    ) {
        foreach ($problem->counts as $kind => $count) {
            for ($one = 0; $one < $count; $one++) {
                $isFirst = $one === 0;
                $bit = 1 << count($this->kinds);
                $this->kinds[] = $kind;
                for ($state = 0; $state < $bit; $state++) {
                    $this->takes[$bit | $state] = $this->takes[$state] + $problem->takes[$kind];
                    $this->priced[$bit | $state] = $this->priced[$state] + $prices->prices[$kind];
                    $this->isCounted[$bit | $state] = $this->isCounted[$state]
                        && ($isFirst || ($state & ($bit >> 1)) !== 0);
                }
            }
        }
    }

    /**
     * @return array{list<array{int, array<int, int>}>, float}|null a plan that loses less than the one known; null
     *     where there is none, or patience is over
     */
    public function plan(): ?array
    {
        $cuts = count($this->kinds);
        $layers = $endless = [];
        foreach ($this->problem->pieces as $type => $pieces) {
            $pieces >= $cuts ? $endless[] = $type : array_push($layers, ...array_fill(0, $pieces, $type));
        }
        $this->fillEndless($endless);
        $reached = $this->isWhole ? $this->reached($layers, $endless) : [];
        if (! $this->isWhole) {
            return null;
        }
        $best = null;
        foreach ($reached[count($layers)] as $state => [$lost]) {
            $total = $lost + ($this->rest[$state][0] ?? INF);
            if ($total < $this->mostMm - 1e-7) {
                [$best, $this->mostMm] = [$state, $total];
            }
        }

        return $best === null
            ? null
            : [[...$this->walked($reached, $layers, $best), ...$this->walkedOn($best)], $this->mostMm];
    }

    /** @param  list<int>  $types  of which there are enough */
    private function fillEndless(array $types): void
    {
        foreach ($this->takes as $state => $takes) {
            foreach ($types as $type) {
                $room = $this->problem->rooms[$type] - $takes;
                if ($room > -1e-9) {
                    $loses = $this->problem->opening[$type] - $this->problem->worthMm($room);
                    $this->endless[$state] = ! isset($this->endless[$state]) || $loses < $this->endless[$state][0]
                        ? [$loses, $type]
                        : $this->endless[$state];
                }
            }
        }
        for ($state = 1, $count = count($this->takes); $state < $count && $types !== []; $state++) {
            if ($this->isCounted[$state] && ! $this->fillRest($state)) {
                return;
            }
        }
    }

    private function fillRest(int $state): bool
    {
        $last = 1 << (strlen(decbin($state)) - 1);
        $others = $state ^ $last;
        [$least, $first] = [INF, 0];
        for ($some = $others; ; $some = ($some - 1) & $others) {
            $left = $others ^ $some;
            if (isset($this->rest[$left], $this->endless[$last | $some])) {
                $lost = $this->endless[$last | $some][0] + $this->rest[$left][0];
                if ($lost < $least) {
                    [$least, $first] = [$lost, $last | $some];
                }
            }
            if ($some === 0) {
                break;
            }
        }
        if ($least < INF) {
            $this->rest[$state] = [$least, $first];
        }
        $this->isWhole = (++$this->nodes & 63) !== 0 || ! $this->patience->isOver($this->nodes);

        return $this->isWhole;
    }

    /**
     * Layer by layer, each one piece of the stock that may be touched or not.
     *
     * @param  list<int>  $layers  types
     * @param  list<int>  $endless  types
     * @return array<int, array<int, array{float, int}>> by layer and state: least lost, and the cuts of its last piece
     */
    private function reached(array $layers, array $endless): array
    {
        $gains = $this->gains($layers, $endless);
        $all = count($this->takes) - 1;
        $states = [$all => [0.0, 0]];
        $reached = [$states];
        foreach ($layers as $layer => $type) {
            $loses = $this->loses($type);
            $next = array_map(fn (array $one): array => [$one[0], 0], $states);
            foreach ($states as $state => [$lost]) {
                if ((++$this->nodes & 15) === 0 && $this->patience->isOver($this->nodes)) {
                    $this->isWhole = false;

                    return [];
                }
                // What may still be lost, less the price of what stays open.
                $spare = $this->mostMm - $gains[$layer + 1] - $lost - $this->priced[$state];
                foreach ($this->within($state, $loses) as $cuts) {
                    $left = $state ^ $cuts;
                    if (! $this->isCounted[$left] || $spare < $loses[$cuts] - $this->priced[$cuts]) {
                        continue;
                    }
                    $now = $lost + $loses[$cuts];
                    if (! isset($next[$left]) || $now < $next[$left][0] - self::SAME) {
                        $next[$left] = [$now, $cuts];
                    }
                }
            }
            $most = $this->mostMm - $gains[$layer + 1];
            $states = array_filter(
                $next,
                fn (array $one, int $state): bool => $most >= $one[0] + $this->priced[$state],
                ARRAY_FILTER_USE_BOTH,
            );
            $reached[] = $states;
        }

        return $reached;
    }

    /**
     * @param  list<int>  $layers
     * @param  list<int>  $endless
     * @return array<int, float> from each layer on, what the bound may fall by the pieces that follow
     */
    private function gains(array $layers, array $endless): array
    {
        $gain = fn (int $type): float => min(0.0, $this->problem->opening[$type] - $this->prices->worthOf($type));
        $gains = [
            count($layers) => array_sum(
                array_map(fn (int $type): float => $this->problem->pieces[$type] * $gain($type), $endless),
            ),
        ];
        for ($layer = count($layers) - 1; $layer >= 0; $layer--) {
            $gains[$layer] = $gains[$layer + 1] + $gain($layers[$layer]);
        }

        return $gains;
    }

    /** @return array<int, float> what a piece of a type loses for each set of cuts that goes into it */
    private function loses(int $type): array
    {
        $loses = [];
        foreach ($this->takes as $cuts => $takes) {
            $room = $this->problem->rooms[$type] - $takes;
            if ($cuts !== 0 && $room > -1e-9) {
                $loses[$cuts] = $this->problem->opening[$type] - $this->problem->worthMm($room);
            }
        }

        return $loses;
    }

    /**
     * Sets of a state's cuts that go into a piece: from the list of all that go, or, where that is longer, set by set.
     *
     * @param  array<int, float>  $loses
     * @return iterable<int>
     */
    private function within(int $state, array $loses): iterable
    {
        if (count($loses) <= 1 << substr_count(decbin($state), '1')) {
            foreach ($loses as $cuts => $unused) {
                if (($cuts & $state) === $cuts) {
                    yield $cuts;
                }
            }

            return;
        }
        for ($cuts = $state; $cuts !== 0; $cuts = ($cuts - 1) & $state) {
            if (isset($loses[$cuts])) {
                yield $cuts;
            }
        }
    }

    /**
     * Back through the layers from a state.
     *
     * @param  array<int, array<int, array{float, int}>>  $reached
     * @param  list<int>  $layers
     * @return list<array{int, array<int, int>}>
     */
    private function walked(array $reached, array $layers, int $state): array
    {
        $plan = [];
        for ($layer = count($layers); $layer > 0; $layer--) {
            $cuts = $reached[$layer][$state][1];
            if ($cuts !== 0) {
                $plan[] = [$layers[$layer - 1], $this->counts($cuts)];
                $state |= $cuts;
            }
        }

        return $plan;
    }

    /** @return list<array{int, array<int, int>}> the pieces without end that the cuts of a state come from */
    private function walkedOn(int $state): array
    {
        $plan = [];
        while ($state !== 0) {
            $cuts = $this->rest[$state][1];
            $plan[] = [$this->endless[$cuts][1], $this->counts($cuts)];
            $state ^= $cuts;
        }

        return $plan;
    }

    /** @return array<int, int> by kind */
    private function counts(int $cuts): array
    {
        $counts = array_fill(0, count($this->problem->counts), 0);
        foreach ($this->kinds as $bit => $kind) {
            $counts[$kind] += $cuts >> $bit & 1;
        }

        return $counts;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * In which order all tasks are done. Few: every order that could be best, by labels that dominate each other, so the
 * best is proved. Many: by due day, and what is alike together where that makes nothing later, the best of what was
 * tried. How late the latest must be at least is the preemptive rule of the earliest due day (Jackson 1955, Horn 1974):
 * no order of one pair of hands does better, with or without changes between kinds of work. A task is not left for
 * another in its middle, but goes on over a night.
 */
final class Orders
{
    /** So many labels are followed; beyond it the best is not proved. */
    private const MOST_LABELS = 6000;

    /** So many states, each of them how far every want is, are gone through. */
    private const MOST_STATES = 4000;

    /** So many orders near the best are tried. */
    private const TRIES = 100;

    /** So many days after the first that is due are looked at for what is alike. */
    private const WINDOWS = [0, 4, 10, 400];

    /** @param  list<Want>  $wants */
    private function __construct(private readonly array $wants, private readonly BenchDays $days)
    {
    }

    /**
     * @param  list<Want>  $wants
     * @return array{Run, bool} the order that was found, and whether every other was looked at
     */
    public static function best(array $wants, BenchDays $days): array
    {
        $orders = new self($wants, $days);
        $proved = $orders->proved();

        return $proved === null ? [$orders->found(), false] : [$proved, true];
    }

    /**
     * How late the latest is at least, in bench minutes: whoever is due first goes first, left and taken up as others
     * come, nothing is laid ready anew and nothing dries.
     *
     * @param  list<Want>  $wants
     */
    public static function leastLate(array $wants, BenchDays $days): float
    {
        $from = array_map(fn (Want $want): int => $days->startOf($want->fromDay), $wants);
        $left = array_map(fn (Want $want): float => $want->minutes(), $wants);
        $byDue = array_keys($wants);
        usort($byDue, fn (int $one, int $other): int => $wants[$one]->dueDay <=> $wants[$other]->dueDay);
        [$moment, $late] = [0.0, 0.0];
        while (max([0.0, ...$left]) > 0.0) {
            $open = array_values(array_filter($byDue, fn (int $at): bool => $left[$at] > 0.0));
            $now = array_values(array_filter($open, fn (int $at): bool => $from[$at] <= $moment));
            $comes = array_reduce(
                $open, fn (float $comes, int $at): float => $from[$at] > $moment ? min($comes, $from[$at]) : $comes,
                INF,
            );
            if ($now === []) {
                $moment = $comes;

                continue;
            }
            $first = $now[0];
            $until = min($moment + $left[$first], $comes);
            $left[$first] = max(0.0, $left[$first] - ($until - $moment));
            $moment = $until;
            if ($left[$first] <= 1e-9) {
                $left[$first] = 0.0;
                $late = max($late, $moment - $days->startOf($wants[$first]->dueDay));
            }
        }

        return $late;
    }

    /** The best of all orders; null where they are too many to be looked at. */
    private function proved(): ?Run
    {
        if (array_product(
            array_map(fn (Want $want): int => count($want->tasks) + 1, $this->wants)
        ) > self::MOST_STATES) {
            return null;
        }
        $labels = [[Run::begin($this->wants, $this->days)]];
        $tasks = array_sum(array_map(fn (Want $want): int => count($want->tasks), $this->wants));
        $seen = 0;
        for ($task = 0; $task < $tasks; $task++) {
            $next = [];
            foreach ($labels as $runs) {
                foreach ($runs as $run) {
                    foreach (array_keys($this->wants) as $want) {
                        if ($run->next($want) !== null) {
                            $after = $run->after($want);
                            $next[$after->state()] = self::undominated($next[$after->state()] ?? [], $after);
                        }
                    }
                }
            }
            $labels = $next;
            $seen += array_sum(array_map(count(...), $labels));
            if ($seen > self::MOST_LABELS) {
                return null;
            }
        }

        return self::bestOf(array_merge([], ...array_values($labels)));
    }

    /**
     * @param  list<Run>  $runs
     * @return list<Run>
     */
    private static function undominated(array $runs, Run $run): array
    {
        foreach ($runs as $one) {
            if ($one->dominates($run)) {
                return $runs;
            }
        }
        $runs = array_values(array_filter($runs, fn (Run $one): bool => ! $run->dominates($one)));
        $runs[] = $run;

        return $runs;
    }

    /**
     * @param  list<Run>  $runs  one at least
     *
     * @throws \LogicException if there is none
     */
    private static function bestOf(array $runs): Run
    {
        $best = array_shift($runs) ?? throw new \LogicException('There is no order.');
        foreach ($runs as $run) {
            $best = $run->isBetterThan($best) ? $run : $best;
        }

        return $best;
    }

    private function found(): Run
    {
        $runs = array_map($this->dealt(...), [null, ...self::WINDOWS]);

        return $this->nearer(self::bestOf($runs));
    }

    /**
     * One task after the other, of what can go on: first what is due first, or what is alike of all that is due so many
     * days after it.
     */
    private function dealt(?int $window): Run
    {
        $run = Run::begin($this->wants, $this->days);
        while (! $run->isDone()) {
            $run = $run->after($this->pick($run, $window));
        }

        return $run;
    }

    private function pick(Run $run, ?int $window): int
    {
        $open = array_filter(array_keys($this->wants), fn (int $want): bool => $run->next($want) !== null);
        $soonest = $this->least($open, fn (int $want): float => max($run->moment, $run->ready[$want] ?? 0.0));
        $now = array_filter($open, fn (int $want): bool => ($run->ready[$want] ?? 0.0) <= $soonest + 1e-9);
        $due = (int) $this->least($now, fn (int $want): float => $this->wants[$want]->dueDay);
        $best = null;
        foreach ($now as $want) {
            $rank = $this->rank($run, $want, $window === null ? null : $due + $window);
            if ($best === null || $rank < $best[0]) {
                $best = [$rank, $want];
            }
        }

        return $best[1] ?? 0;
    }

    /**
     * @param  array<int>  $wants
     * @param  callable(int): float  $of
     */
    private function least(array $wants, callable $of): float
    {
        return array_reduce($wants, fn (float $least, int $want): float => min($least, $of($want)), INF);
    }

    /** @return list<float|int> less goes first: alike and due until then, due sooner, not as far */
    private function rank(Run $run, int $want, ?int $until): array
    {
        $one = $this->wants[$want];
        if ($until === null) {
            return [1, $one->dueDay, $want];
        }
        $isAlike = $run->next($want)?->together === $run->together && $one->dueDay <= $until;

        return [$isAlike ? 0 : 1, $one->dueDay, $run->done[$want] / count($one->tasks), $want];
    }

    /** Orders beside it: a task is brought forward to the last of its kind. */
    private function nearer(Run $best): Run
    {
        [$runs, $order] = [$best->sinceBegin(), $best->order()];
        for ($try = 0, $at = 1; $try < self::TRIES && $at < count($runs) - 1; $at++) {
            $place = $this->placeBefore($order, $at);
            if ($place === null) {
                continue;
            }
            $try++;
            $then = array_column(array_slice($order, $place), 0);
            array_splice($then, $at - $place, 1);
            $run = array_reduce(
                [$order[$at][0], ...$then], fn (Run $run, int $want): Run => $run->after($want), $runs[$place],
            );
            if ($run->isBetterThan($best)) {
                [$best, $runs, $order] = [$run, $run->sinceBegin(), $run->order()];
            }
        }

        return $best;
    }

    /**
     * After the last of its kind before it, if its own piece is not worked on between.
     *
     * @param  list<array{int, int, float, float}>  $order
     */
    private function placeBefore(array $order, int $at): ?int
    {
        [$want, $task] = $order[$at];
        $kind = $this->wants[$want]->tasks[$task]->together;
        for ($place = $at - 1; $place >= 0 && $order[$place][0] !== $want; $place--) {
            [$other, $done] = $order[$place];
            if ($this->wants[$other]->tasks[$done]->together === $kind) {
                return $place < $at - 1 ? $place + 1 : null;
            }
        }

        return null;
    }
}

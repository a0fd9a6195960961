<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * A way to be ready in time, tried by planning anew: so many minutes more on a day, or fewer of one piece, or none.
 * Only what makes nothing late any more is offered.
 */
final readonly class InTime
{
    private const HALF_HOUR = 30;

    /** No day has more at the bench than this, however late: hands tire [common practice]. */
    private const MOST_A_DAY = 600;

    private const TRIES = 4;

    private function __construct(
        public WorkPlan $plan,
        /** the day that gets more, else -1 */
        public int $day = -1,
        public int $minutes = 0,
        /** the want that is made less often, else empty */
        public string $want = '',
        public int $makings = 0,
    ) {
    }

    /**
     * @param  list<Want>  $wants
     * @param  array<string, int>  $makings  how often each is made yet
     * @param  callable(string, int): list<Task>  $tasks  of a want, made so often
     * @return list<self> more time first, then what keeps the most
     */
    public static function all(array $wants, BenchDays $days, WorkPlan $plan, array $makings, callable $tasks): array
    {
        if ($plan->late === []) {
            return [];
        }
        $ways = array_filter([self::moreTime($wants, $days, $plan)]);
        foreach (array_keys($makings) as $key) {
            $ways[] = self::fewer($wants, $days, $key, $makings[$key], $tasks);
        }
        $ways = array_values(array_filter($ways));
        usort(
            $ways, fn (self $one, self $other): int => [$one->want !== '', $makings[$one->want] ?? 0, -$one->makings]
                <=> [$other->want !== '', $makings[$other->want] ?? 0, -$other->makings],
        );

        return $ways;
    }

    /**
     * On the last day before the first that is missed which can take it.
     *
     * @param  list<Want>  $wants
     */
    private static function moreTime(array $wants, BenchDays $days, WorkPlan $plan): ?self
    {
        $missed = array_reduce($wants, fn (int $missed, Want $want): int => isset($plan->late[$want->key])
            ? min($missed, $want->dueDay) : $missed, PHP_INT_MAX);
        $minutes = (int) (self::HALF_HOUR * ceil($plan->shortMinutes / self::HALF_HOUR));
        for ($try = 0; $try < self::TRIES; $try++, $minutes += self::HALF_HOUR) {
            for ($day = $missed - 1; $day >= 0; $day--) {
                if ($days->minutesOn($day) + $minutes <= self::MOST_A_DAY) {
                    $tried = WorkPlan::of($wants, $days->with($day, $days->minutesOn($day) + $minutes));
                    if ($tried->late === []) {
                        return new self($tried, $day, $minutes);
                    }

                    break;
                }
            }
        }

        return null;
    }

    /**
     * As many as can be, by halving.
     *
     * @param  list<Want>  $wants
     * @param  callable(string, int): list<Task>  $tasks
     */
    private static function fewer(array $wants, BenchDays $days, string $key, int $makings, callable $tasks): ?self
    {
        $best = null;
        [$least, $most] = [0, $makings - 1];
        while ($least <= $most) {
            $count = intdiv($least + $most + 1, 2);
            $tried = WorkPlan::of(array_map(
                fn (Want $want): Want => $want->key === $key ? $want->having($tasks($key, $count)) : $want, $wants,
            ), $days);
            if ($tried->late === []) {
                [$best, $least] = [new self($tried, want: $key, makings: $count), $count + 1];
            } else {
                $most = $count - 1;
            }
        }

        return $best;
    }
}

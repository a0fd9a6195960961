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

    /** So many tasks are planned anew for what is made less often, and so many wants are tried at least. */
    private const TASKS_TRIED = 600;

    private const LEAST_TRIED = 2;

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
     * @return list<self> more time first, then what leaves out the least of its makings
     */
    public static function all(array $wants, BenchDays $days, WorkPlan $plan): array
    {
        if ($plan->late === []) {
            return [];
        }
        $ways = [self::moreTime($wants, $days, $plan)];
        $lost = ['' => 0.0];
        foreach (self::largest($wants) as $want) {
            $way = self::fewer($wants, $days, $want);
            $ways[] = $way;
            $lost[$want->key] = 1.0 - ($way->makings ?? 0) / max(1, $want->makings);
        }
        $ways = array_values(array_filter($ways));
        usort($ways, fn (self $one, self $other): int => $lost[$one->want] <=> $lost[$other->want]);

        return $ways;
    }

    /**
     * What takes the most work goes first; where a plan is large, few are tried.
     *
     * @param  list<Want>  $wants
     * @return list<Want>
     */
    private static function largest(array $wants): array
    {
        $tasks = array_sum(array_map(fn (Want $want): int => count($want->tasks), $wants));
        usort($wants, fn (Want $one, Want $other): int => $other->minutes() <=> $one->minutes());

        return array_slice($wants, 0, max(self::LEAST_TRIED, intdiv(self::TASKS_TRIED, max(1, $tasks))));
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
     * As many of it as can be, by halving.
     *
     * @param  list<Want>  $wants
     */
    private static function fewer(array $wants, BenchDays $days, Want $want): ?self
    {
        $best = null;
        [$least, $most] = [0, $want->makings - 1];
        while ($least <= $most) {
            $count = intdiv($least + $most + 1, 2);
            $tried = WorkPlan::of(
                array_map(fn (Want $one): Want => $one === $want ? $want->times($count) : $one, $wants), $days,
            );
            if ($tried->late === []) {
                [$best, $least] = [new self($tried, want: $want->key, makings: $count), $count + 1];
            } else {
                $most = $count - 1;
            }
        }

        return $best;
    }
}

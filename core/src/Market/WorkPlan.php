<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * What is done when: the order of all tasks laid over the days at the bench, what is late by it and by how much. Exact
 * where every order was looked at; otherwise at most `gapMinutes` later than the least that any order could be.
 */
final readonly class WorkPlan
{
    private const SAME = 1e-6;

    /**
     * @param  list<Sitting>  $sittings  in their order
     * @param  array<string, int>  $doneOn  the day by which what is wanted is done, by its key
     * @param  array<string, float>  $late  bench minutes over, by key, of those that are late
     */
    private function __construct(
        public array $sittings,
        public array $doneOn,
        public array $late,
        public float $minutes,
        public float $shortMinutes,
        public float $gapMinutes,
        public bool $isProved,
    ) {
    }

    /** @param  list<Want>  $wants  those without tasks are done */
    public static function of(array $wants, BenchDays $days): self
    {
        $open = array_values(array_filter($wants, fn (Want $want): bool => $want->tasks !== []));
        [$run, $isProved] = Orders::best($open, $days);
        $least = Orders::leastLate($open, $days);
        $doneOn = $late = [];
        foreach ($open as $at => $want) {
            $doneOn[$want->key] = $days->dayUntil($run->ready[$at]);
            $over = $run->ready[$at] - $days->startOf($want->dueDay);
            if ($over > self::SAME) {
                $late[$want->key] = $over;
            }
        }

        return new self(
            Sitting::all($run, $open, $days), $doneOn, $late,
            array_sum(array_map(fn (Want $want): float => $want->minutes(), $open)), $run->mostLate,
            $isProved ? 0.0 : max(0.0, $run->mostLate - $least), $isProved || $run->mostLate <= $least + self::SAME,
        );
    }

    /** @return list<Sitting> of a day */
    public function on(int $day): array
    {
        return array_values(array_filter($this->sittings, fn (Sitting $one): bool => $one->day === $day));
    }

    public function lastDay(): int
    {
        return max(
            [0, ...array_map(fn (Sitting $one): int => $one->day, $this->sittings), ...array_values($this->doneOn)]
        );
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Handwork\Operation;

/** Work of one kind in one go on one day, for one or several of what is wanted: minutes from the day's first on. */
final readonly class Sitting
{
    /**
     * @param  list<string>  $wants  keys, as they come
     * @param  list<string>  $metals  of the wires worked, as they come
     */
    public function __construct(
        public int $day,
        public float $from,
        public float $minutes,
        public Operation $operation,
        public string $together,
        public int $count,
        public array $wants,
        public array $metals,
        /** nights that something of it waits afterwards */
        public int $waitDays,
    ) {
    }

    /**
     * What goes over a night is two of them, and its count is parted by time.
     *
     * @param  list<Want>  $wants
     * @return list<self>
     */
    public static function all(Run $run, array $wants, BenchDays $days): array
    {
        $all = [];
        foreach ($run->order() as [$want, $at, $from, $until]) {
            $task = $wants[$want]->tasks[$at];
            $left = $task->count;
            foreach (self::spans($from, $until, $days) as $index => [$day, $begins, $minutes]) {
                $isLast = abs($begins + $minutes - $until) < 1e-6;
                $count = $isLast ? $left : min($left, (int) round($task->count * $minutes / max(1e-9, $until - $from)));
                $left -= $count;
                $all[] = new self(
                    $day, $begins - $days->startOf($day), $minutes, $task->operation, $task->together, $count,
                    [$wants[$want]->key], $task->metal === '' ? [] : [$task->metal], $isLast ? $task->waitDays : 0,
                );
            }
        }

        return self::joined($all);
    }

    /** @return list<array{int, float, float}> day, moment, minutes */
    private static function spans(float $from, float $until, BenchDays $days): array
    {
        $spans = [];
        do {
            $day = $days->dayUntil($from + min(1e-3, max(0.0, $until - $from)));
            $end = min($until, (float) $days->startOf($day + 1));
            $spans[] = [$day, $from, max(0.0, $end - $from)];
            $from = $end;
        } while ($until - $from > 1e-6);

        return $spans;
    }

    /**
     * @param  list<self>  $all
     * @return list<self> what follows its like on the same day is one with it
     */
    private static function joined(array $all): array
    {
        $joined = [];
        foreach ($all as $one) {
            $last = array_key_last($joined);
            if (
                $last !== null && $joined[$last]->day === $one->day && $joined[$last]->together === $one->together
                && abs($joined[$last]->from + $joined[$last]->minutes - $one->from) < 1e-6
            ) {
                $joined[$last] = $joined[$last]->and($one);
            } else {
                $joined[] = $one;
            }
        }

        return $joined;
    }

    private function and(self $one): self
    {
        return new self(
            $this->day, $this->from, $this->minutes + $one->minutes, $this->operation, $this->together,
            $this->count + $one->count, array_values(array_unique([...$this->wants, ...$one->wants])),
            array_values(array_unique([...$this->metals, ...$one->metals])), max($this->waitDays, $one->waitDays),
        );
    }
}

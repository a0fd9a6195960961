<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Quantity\OutOfRange;

/**
 * The minutes at the bench, day by day from the first day of a plan (day 0) on; what is not said goes on as the week
 * does. A moment is told in bench minutes: so many were worked since the plan began. Invariants: 0 to 1,440 minutes a
 * day; some day of the week has at least a quarter of an hour, so that everything ends.
 */
final class BenchDays
{
    public const LEAST_MINUTES = 15;

    private const MOST_MINUTES = 1440;

    private const WEEK = 7;

    /** @var list<int> minutes before each day, as far as was asked for */
    private array $before = [0];

    /**
     * @param  list<int>  $week  minutes of seven days, of the first day first
     * @param  array<int, int>  $days  minutes of days that are unlike their week's
     */
    private function __construct(private readonly array $week, private readonly array $days)
    {
    }

    /**
     * @param  list<int>  $week
     * @param  array<int, int>  $days
     *
     * @throws OutOfRange outside the ranges
     */
    public static function of(array $week, array $days = []): self
    {
        count($week) === self::WEEK || throw OutOfRange::between('week', count($week).' days', '7', '7 days');
        foreach ([...$week, ...$days] as $minutes) {
            $minutes >= 0 && $minutes <= self::MOST_MINUTES
                || throw OutOfRange::between('hours', "{$minutes} min", '0', '24 h a day');
        }
        max($week) >= self::LEAST_MINUTES || throw OutOfRange::because(
            'hours', 'no time', 'leaves no day at the bench', 'a quarter of an hour on one day of the week at least',
        );

        return new self($week, $days);
    }

    /** The same with other minutes on one day. */
    public function with(int $day, int $minutes): self
    {
        return self::of($this->week, [$day => $minutes] + $this->days);
    }

    /** All of them: another word as soon as any is another. */
    public function word(): string
    {
        $days = $this->days;
        ksort($days);

        return md5((string) json_encode([$this->week, $days]));
    }

    public function minutesOn(int $day): int
    {
        return $this->days[$day] ?? $this->week[$day % self::WEEK];
    }

    /** The moment a day begins: bench minutes of all days before it. */
    public function startOf(int $day): int
    {
        for ($known = count($this->before); $known <= $day; $known++) {
            $this->before[] = $this->before[$known - 1] + $this->minutesOn($known - 1);
        }

        return $this->before[max(0, $day)];
    }

    /** The day on which work is done until this moment; what ends with a day belongs to it. */
    public function dayUntil(float $moment): int
    {
        $day = 0;
        while ($this->startOf($day + 1) < $moment - 1e-9) {
            $day++;
        }

        return $day;
    }
}

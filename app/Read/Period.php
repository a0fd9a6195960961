<?php

declare(strict_types=1);

namespace App\Read;

use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Contracts\Database\Query\Builder;

/** A year, or some of its months, as what is written down is asked for. */
final readonly class Period
{
    private const MONTHS = 12;

    public int $from;

    public int $to;

    /** @param  int  $one  a month, 1 to 12, and another: either may be the earlier */
    public function __construct(public string $year, int $one = 1, int $other = self::MONTHS)
    {
        $month = fn (int $asked): int => max(1, min(self::MONTHS, $asked));
        [$this->from, $this->to] = [$month(min($one, $other)), $month(max($one, $other))];
    }

    /** From what was typed or chosen: where it is no month, the whole year. */
    public static function asked(string $year, string $from, string $to): self
    {
        $isMonth = fn (string $text): bool => preg_match('/^([1-9]|1[0-2])$/', $text) === 1;

        return new self($year, $isMonth($from) ? (int) $from : 1, $isMonth($to) ? (int) $to : self::MONTHS);
    }

    public function isWhole(): bool
    {
        return $this->from === 1 && $this->to === self::MONTHS;
    }

    public function has(int $month): bool
    {
        return $month >= $this->from && $month <= $this->to;
    }

    public static function monthName(int $month): string
    {
        return self::month('2000', $month)->format('F');
    }

    private static function month(string $year, int $month): CarbonImmutable
    {
        return CarbonImmutable::create((int) $year, $month, 1, 0, 0, 0, 'UTC') ?? CarbonImmutable::now();
    }

    /** `2026`, `March to May 2026`. */
    public function words(): string
    {
        return match (true) {
            $this->isWhole() => $this->year,
            $this->from === $this->to => self::monthName($this->from).' '.$this->year,
            default => self::monthName($this->from).' to '.self::monthName($this->to).' '.$this->year,
        };
    }

    /** @return array{string, string} its first and last month: `2026-03`, `2026-05` */
    public function months(): array
    {
        return [sprintf('%s-%02d', $this->year, $this->from), sprintf('%s-%02d', $this->year, $this->to)];
    }

    /** @return Closure(Builder): Builder that asks for what lies in it, by a column of days or times */
    public function of(string $column): Closure
    {
        $begins = self::month($this->year, $this->from);
        $ends = self::month($this->year, $this->to)->addMonth();

        return fn (Builder $rows): Builder => $rows->where($column, '>=', $begins->format('Y-m-d'))
            ->where($column, '<', $ends->format('Y-m-d'));
    }
}

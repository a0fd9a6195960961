<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Reach;

/**
 * A measuring tape laid along a chain: where it ends now, where it ended before, and where it fits, on one scale; with
 * what would make it fit.
 */
final readonly class Tape
{
    /** The tape as it is drawn, in pixels, and how much of it is free at either end, mm. */
    public const WIDE = 500.0;

    private const FREE_MM = 14.0;

    private const LEAST_MM = 60.0;

    private float $fromMm;

    private float $perMm;

    private function __construct(public Reach $reach, public ?float $wasMm, public ?Check $check)
    {
        $told = array_filter([$reach->hasMm, $reach->wantsMm, $wasMm], is_float(...));
        $middle = (min($told) + max($told)) / 2;
        $half = max(self::LEAST_MM, max($told) - min($told) + 2 * self::FREE_MM) / 2;
        $this->fromMm = max(0.0, $middle - $half);
        $this->perMm = self::WIDE / (2 * $half);
    }

    /** Null of what is no chain that goes round. */
    public static function of(Desk $desk): ?self
    {
        $reach = $desk->plan->reach();
        $checks = array_filter($desk->plan->checks, fn (Check $check): bool => $check->rule === 'length');
        $was = $desk->was[0] ?? null;
        if ($reach === null) {
            return null;
        }
        // What it was is told by the hanging length, which is its own where it is laid straight.
        $isOther = $was !== null && abs($was - $reach->hasMm) >= 0.25;

        return new self($reach, $isOther ? $was : null, array_values($checks)[0] ?? null);
    }

    public function x(float $mm): float
    {
        return round(($mm - $this->fromMm) * $this->perMm, 1);
    }

    /** @return array{float, float} where it fits, as drawn: from, and how wide */
    public function fits(): array
    {
        $tolerance = $this->reach->toleranceMm();

        return [
            $this->x($this->reach->wantsMm - $tolerance), round(2 * $tolerance * $this->perMm, 1),
        ];
    }

    /** @return list<array{float, bool, string}> ticks every 5 mm, whether they are long, and what stands at them */
    public function ticks(): array
    {
        $ticks = [];
        $to = $this->fromMm + self::WIDE / $this->perMm;
        for ($mm = ceil($this->fromMm / 5) * 5; $mm <= $to; $mm += 5) {
            $isLong = fmod($mm, 10.0) === 0.0;
            $ticks[] = [$this->x($mm), $isLong, $isLong && fmod($mm, 20.0) === 0.0 ? (string) (int) $mm : ''];
        }

        return $ticks;
    }
}

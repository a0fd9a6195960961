<?php

declare(strict_types=1);

namespace App\View\Stock;

use Hebra\Core\Plan\Profile;

/** One ruler under all offcuts, a little longer than the longest. Hundredths of its width. */
final readonly class OffcutRule
{
    /** How much of it is left for the words beside the longest. */
    private const ROOM = 1.5;

    private const MOST_MARKS = 6;

    private const INCH_MM = 25.4;

    private float $longMm;

    private float $everyMm;

    public function __construct(private Profile $profile, float $longestMm)
    {
        $this->longMm = max(50.0, $longestMm * self::ROOM);
        $unit = $profile->ruler->isMetric() ? 50.0 : 2 * self::INCH_MM;
        $this->everyMm = $unit * max(1, (int) ceil($this->longMm / $unit / self::MOST_MARKS));
    }

    public function share(float $mm): float
    {
        return round(100 * $mm / $this->longMm, 2);
    }

    /** @return list<float> */
    public function ticks(): array
    {
        return array_map(
            fn (int $at): float => $this->share($at * $this->everyMm / 5),
            range(0, (int) floor(5 * $this->longMm / $this->everyMm)),
        );
    }

    /** @return list<array{float, string}> */
    public function marks(): array
    {
        $marks = [];
        $unit = $this->profile->ruler->isMetric() ? 1.0 : self::INCH_MM;
        for ($mm = 0.0; $mm < $this->longMm * 0.97; $mm += $this->everyMm) {
            $isLast = $mm + $this->everyMm >= $this->longMm * 0.97;
            $marks[] = [
                $this->share($mm), round($mm / $unit).($isLast ? ' '.$this->profile->unit()->value : ''),
            ];
        }

        return $marks;
    }
}

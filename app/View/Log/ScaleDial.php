<?php

declare(strict_types=1);

namespace App\View\Log;

/** A scale with its needle on what is foretold: its end a round figure, so that the needle stands about the middle. */
final readonly class ScaleDial
{
    /** The needle at nothing stands so far to the left of upright, degrees, and at the end as far to the right. */
    public const SWING = 106.0;

    private const ENDS = [1.0, 2.0, 5.0];

    private const MARKS = 5;

    public float $endGrams;

    public function __construct(public float $grams)
    {
        $decade = 0.1;
        while (5 * $decade < 1.3 * $grams) {
            $decade *= 10;
        }
        $fits = array_filter(self::ENDS, fn (float $end): bool => $end * $decade >= 1.3 * $grams);
        $this->endGrams = (array_values($fits)[0] ?? 5.0) * $decade;
    }

    /** Of a weight, degrees from upright. */
    public function angle(float $grams): float
    {
        return round(self::SWING * (2 * max(0.0, min(1.05, $grams / $this->endGrams)) - 1), 2);
    }

    /** @return list<array{float, bool, string}> the angle of each tick, whether it is long, and what stands at it */
    public function ticks(): array
    {
        $ticks = [];
        $fine = 10 * self::MARKS;
        for ($tick = 0; $tick <= $fine; $tick++) {
            $isLong = $tick % 10 === 0;
            $grams = $this->endGrams * $tick / $fine;
            $ticks[] = [$this->angle($grams), $isLong, $isLong ? (string) round($grams, 2) : ''];
        }

        return $ticks;
    }
}

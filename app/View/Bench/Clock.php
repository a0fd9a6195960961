<?php

declare(strict_types=1);

namespace App\View\Bench;

use Hebra\Core\Quantity\Figures;

/** Times of a bench day: foretold times are told as roughly as they are known. */
final class Clock
{
    private const MINUTES_OF_HOURS = 90.0;

    public static function words(float $minutes): string
    {
        return match (true) {
            $minutes < 10 => max(1, (int) round($minutes)).' min',
            $minutes < self::MINUTES_OF_HOURS => 5 * (int) round($minutes / 5).' min',
            default => Figures::trim(round($minutes / 6) / 10, 1).' h',
        };
    }
}

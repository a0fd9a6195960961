<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;

/** Wire on its coil, as one spiral: as many turns as its share of what there was when it was taken in. Pixels. */
final class Coil
{
    private const MIDDLE = 17.0;

    private const INNER = 6.0;

    private const OUTER = 15.0;

    private const PITCH = 2.4;

    private const STEPS = 24;

    /**
     * @param  float  $before  what it holds, and what it will: millimetres, or pins
     * @return array{string, string} the way of the wire there is, and of what is left
     */
    public static function turns(Lot $lot, float $before, float $after): array
    {
        $received = $lot->isPins() ? $before : max($before, $lot->receivedMm());

        return [self::spiral($before / max(1e-9, $received)), self::spiral($after / max(1e-9, $received))];
    }

    /** Equal lengths of wire cover equal areas, so its radius grows by the root of its share. */
    private static function spiral(float $share): string
    {
        $reach = sqrt(self::INNER ** 2 + max(0.0, min(1.0, $share)) * (self::OUTER ** 2 - self::INNER ** 2));
        $turns = ($reach - self::INNER) / self::PITCH;
        if ($turns < 0.05) {
            return '';
        }
        $steps = (int) ceil($turns * self::STEPS);
        $points = array_map(function (int $step) use ($turns, $steps): string {
            $angle = 2 * M_PI * $turns * $step / $steps;
            $radius = self::INNER + self::PITCH * $angle / (2 * M_PI);

            return round(self::MIDDLE + $radius * sin($angle), 1).' '.round(self::MIDDLE - $radius * cos($angle), 1);
        }, range(0, $steps));

        return 'M'.implode('L', $points);
    }
}

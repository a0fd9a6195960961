<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;

/** Wire on its coil, small: as many turns as its share of what there was when it was taken in. Pixels. */
final class Coil
{
    private const MIDDLE = 17.0;

    private const INNER = 4.8;

    private const OUTER = 15.0;

    private const PITCH = 2.4;

    /**
     * @param  float  $before  what it holds, and what it will: millimetres, or pins
     * @return array{string, string} the way of the wire there is, and of what is left
     */
    public static function turns(Lot $lot, float $before, float $after): array
    {
        $received = max(1e-9, $lot->isPins() ? $before : max($before, $lot->receivedMm()));
        $turns = new CoilTurns(self::MIDDLE, self::INNER, self::OUTER, self::PITCH);

        return [
            $turns->path(0, $turns->halves($before / $received)), $turns->path(0, $turns->halves($after / $received)),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\Mass;

/** A weight as it is typed beside a scale: grams, where no unit is given. */
final class Weight
{
    /** @throws Problem if it is no weight, nothing, or beyond the most */
    public static function milligrams(string $text, float $mostGrams): int
    {
        $plain = is_numeric(str_replace(',', '.', $text)) ? $text.' g' : $text;

        return Mass::parse($plain, 'weight')->asAmount('weight', $mostGrams)->milligrams();
    }

    /** @throws Problem if it is no weight, or beyond the most */
    public static function orNothing(string $text, float $mostGrams): int
    {
        return preg_match('/^0+([.,]0+)?\s*g?$/i', $text) === 1 ? 0 : self::milligrams($text, $mostGrams);
    }
}

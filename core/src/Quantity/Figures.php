<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** Plain figures in sentences: fixed decimals without trailing noise. */
final class Figures
{
    /** `0.8`, `12`, `3.25`: at most $decimals places, trailing zeros dropped. */
    public static function trim(float $value, int $decimals = 2): string
    {
        // A cast gives the shortest figures that round() left; adding zero turns −0 into 0.
        $text = (string) (round($value, $decimals) + 0.0);

        return $value < 0 ? str_replace('-', '−', $text) : $text;
    }

    /** `0.81 mm`: for diameters, holes and margins, which no ruler measures. */
    public static function mm(float $millimetres): string
    {
        return self::trim($millimetres).' mm';
    }

    public static function grams(float $grams): string
    {
        return number_format($grams, $grams < 10 ? 2 : 1, '.', '').' g';
    }

    /**
     * `a`, `a and b`, `a, b and c`.
     *
     * @param  list<string>  $words
     */
    public static function listed(array $words, string $and = 'and'): string
    {
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words)." {$and} {$last}";
    }

    public static function counted(int $count, string $one, ?string $many = null): string
    {
        return $count.' '.($count === 1 ? $one : ($many ?? $one.'s'));
    }
}

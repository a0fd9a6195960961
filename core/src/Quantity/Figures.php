<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** Plain figures in sentences: fixed decimals without trailing noise. */
final class Figures
{
    /** `0.8`, `12`, `3.25`: at most $decimals places, trailing zeros dropped. */
    public static function trim(float $value, int $decimals = 2): string
    {
        $text = number_format($value, $decimals, '.', '');
        $text = str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;

        return $text === '-0' ? '0' : str_replace('-', '−', $text);
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

    public static function counted(int $count, string $one, ?string $many = null): string
    {
        return $count.' '.($count === 1 ? $one : ($many ?? $one.'s'));
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** What every parser does first: limits, and the many ways to write the same sign. */
final class Text
{
    private const MOST = 80;

    private const SIGNS = [
        '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '⅓' => ' 1/3', '⅔' => ' 2/3', '⅛' => ' 1/8', '⅜' => ' 3/8',
        '⅝' => ' 5/8', '⅞' => ' 7/8', '⁄' => '/', '″' => '"', '”' => '"', '“' => '"', '′' => "'", '’' => "'", '−' => '-',
        '–' => '-', '×' => 'x', "\u{00A0}" => ' ', "\u{202F}" => ' ', 'µ' => 'μ',
    ];

    /**
     * Lower case, one kind of each sign, single spaces.
     *
     * @throws Unreadable if the text is longer than 80 characters or empty
     */
    public static function plain(string $text, string $field, string $example): string
    {
        if (mb_strlen($text) > self::MOST) {
            throw Unreadable::tooLong($field, mb_strlen($text), self::MOST);
        }
        $plain = trim(preg_replace('/\s+/u', ' ', strtr(mb_strtolower(mb_scrub($text)), self::SIGNS)) ?? '');
        if ($plain === '') {
            throw Unreadable::empty($field, $example);
        }

        return $plain;
    }

    /**
     * A number as people write it: `3`, `.5`, `0,8`, `1/2`, `2 1/2`, `2-1/2`. Null where it is none.
     */
    public static function number(string $text): ?float
    {
        $isNumber = preg_match('~^(-)?\s*(\d{1,9}(?:[.,]\d{1,24})?|[.,]\d{1,24})?(?:(?(2)[ -])(\d{1,6})/(\d{1,6}))?$~', trim($text), $match, PREG_UNMATCHED_AS_NULL) === 1;
        [, $sign, $whole, $over, $under] = array_pad($match, 5, null);
        if (! $isNumber || ($whole === null && $over === null) || ($under !== null && (int) $under === 0)) {
            return null;
        }
        $value = (float) str_replace(',', '.', $whole ?? '0') + ($under === null ? 0.0 : (int) $over / (int) $under);

        return $sign === null ? $value : -$value;
    }
}

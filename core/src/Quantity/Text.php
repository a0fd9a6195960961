<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** What every parser does first: limits, and the many ways to write the same sign. */
final class Text
{
    private const MOST = 80;

    private const SIGNS = [
        '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '⅓' => ' 1/3', '⅔' => ' 2/3', '⅛' => ' 1/8', '⅜' => ' 3/8',
        '⅝' => ' 5/8', '⅞' => ' 7/8', '⁄' => '/', '″' => '"', '”' => '"', '“' => '"', '′' => "'", '’' => "'",
        '−' => '-',
        '–' => '-', '×' => 'x', "\u{00A0}" => ' ', "\u{202F}" => ' ', 'µ' => 'μ',
    ];

    /**
     * Signs that cannot be seen or that turn what is beside them round; the joiners that letters and pictures need are
     * none [published: Unicode 15, chapter 23].
     */
    private const INVISIBLE = '/[^\P{Cc}\t\r\n]|[\x{AD}\x{34F}\x{61C}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{180E}\x{200B}'
        .'\x{200E}\x{200F}\x{2028}-\x{202E}\x{2060}-\x{206F}\x{3164}\x{FEFF}\x{FFA0}\x{FFF9}-\x{FFFB}\x{FFFE}\x{FFFF}'
        .'\x{E0000}-\x{E0FFF}]/u';

    /**
     * The same text, if all of it can be seen.
     *
     * @throws Unreadable if it is no UTF-8, or holds a sign that cannot be seen
     */
    public static function visible(string $text, string $field): string
    {
        mb_check_encoding($text, 'UTF-8') || throw Unreadable::encoding($field);
        if (preg_match(self::INVISIBLE, $text, $match, PREG_OFFSET_CAPTURE) === 1) {
            throw Unreadable::invisible($field, $match[0][0], mb_strlen(substr($text, 0, $match[0][1])) + 1);
        }

        return $text;
    }

    /** The same text without what cannot be seen. */
    public static function seen(string $text): string
    {
        return preg_replace(self::INVISIBLE, '', mb_scrub($text)) ?? '';
    }

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
        $isNumber = preg_match(
            '~^(-)?\s*(\d{1,9}(?:[.,]\d{1,24})?|[.,]\d{1,24})?(?:(?(2)[ -])(\d{1,6})/(\d{1,6}))?$~',
            trim($text),
            $match,
            PREG_UNMATCHED_AS_NULL,
        ) === 1;
        [, $sign, $whole, $over, $under] = array_pad($match, 5, null);
        if (! $isNumber || ($whole === null && $over === null) || ($under !== null && (int) $under === 0)) {
            return null;
        }
        $value = (float) str_replace(',', '.', $whole ?? '0') + ($under === null ? 0.0 : (int) $over / (int) $under);

        return $sign === null ? $value : -$value;
    }
}

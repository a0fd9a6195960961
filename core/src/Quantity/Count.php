<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** Counts as makers type them: turns, beads, repeats. */
final class Count
{
    /**
     * @throws Unreadable if it is no whole number
     * @throws OutOfRange if it lies outside
     */
    public static function parse(string $text, string $field, int $least, int $most): int
    {
        $plain = Text::plain($text, $field, 'a whole number');
        if (preg_match('/^-?\d{1,9}$/', $plain) !== 1) {
            throw Unreadable::count($field, $text);
        }

        return self::within((int) $plain, $field, $least, $most);
    }

    /**
     * One of which parts make sense too: `1.25`, `1 1/4`.
     *
     * @throws Unreadable if it is no number
     * @throws OutOfRange if it lies outside
     */
    public static function number(string $text, string $field, float $least, float $most): float
    {
        $number = Text::number(Text::plain($text, $field, 'a number, such as 2 or 1.25'));

        return self::numberWithin($number ?? throw Unreadable::number($field, $text), $field, $least, $most);
    }

    /** @throws OutOfRange if it lies outside or is none */
    public static function numberWithin(float $number, string $field, float $least, float $most): float
    {
        if (! ($number >= $least && $number <= $most)) {
            throw OutOfRange::between($field, Figures::trim($number), Figures::trim($least), Figures::trim($most));
        }

        return $number;
    }

    /** @throws OutOfRange if it lies outside */
    public static function within(int $count, string $field, int $least, int $most): int
    {
        if ($count < $least || $count > $most) {
            throw OutOfRange::between($field, str_replace('-', '−', (string) $count), (string) $least, (string) $most);
        }

        return $count;
    }
}

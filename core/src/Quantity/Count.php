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

    /** @throws OutOfRange if it lies outside */
    public static function within(int $count, string $field, int $least, int $most): int
    {
        if ($count < $least || $count > $most) {
            throw OutOfRange::between($field, str_replace('-', '−', (string) $count), (string) $least, (string) $most);
        }

        return $count;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/** One of the values that an enumeration has, as it is written there. */
final class OneOf
{
    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws Unreadable if it is none of them; they are named
     */
    public static function read(string $enum, string $text, string $field): \BackedEnum
    {
        return $enum::tryFrom($text) ?? throw self::refused($enum, $text, $field);
    }

    /**
     * The same, whatever letters are large in it.
     *
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum  its values are small letters
     * @return T
     *
     * @throws Unreadable if it is none of them; they are named
     */
    public static function inAnyCase(string $enum, string $text, string $field): \BackedEnum
    {
        return $enum::tryFrom(mb_strtolower($text)) ?? throw self::refused($enum, $text, $field);
    }

    /** @param  class-string<\BackedEnum>  $enum */
    private static function refused(string $enum, string $text, string $field): Unreadable
    {
        return Unreadable::choice(
            $field, $text, array_map(fn (\BackedEnum $one): string => (string) $one->value, $enum::cases()),
        );
    }
}

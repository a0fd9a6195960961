<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

/** How a move is written: its word, what follows it, an example, and what its numbers are. */
final readonly class Form
{
    /** What a wire or a stretch of one is called: `tie`, `left-half`, `core 2`. */
    public const NAME = '[a-z]{2,12}(?:-[a-z0-9]{1,7}){0,2}(?: \d{1,2})?';

    public const SIDES = [
        'above' => [0.0, -1.0, 0.0], 'below' => [0.0, 1.0, 0.0], 'left' => [-1.0, 0.0, 0.0],
        'right' => [1.0, 0.0, 0.0], 'before' => [0.0, 0.0, 1.0], 'behind' => [0.0, 0.0, -1.0],
    ];

    private const NUMBER = '-?\d+(?:\.\d+)?';

    private const PLACE = 'left|right|top|bottom|start|middle|end|\d+(?:\.\d+)?%?';

    /** @param  string  $pattern  a regular expression with what Reading finds by name */
    public function __construct(
        public string $word, public string $pattern, public string $example, public string $says,
    ) {
    }

    public static function number(string $name): string
    {
        return "(?<{$name}>".self::NUMBER.')';
    }

    public static function length(string $name): string
    {
        return self::number($name).'(?: ?mm)?';
    }

    /** Of a wire or a stretch of one. */
    public static function name(string $name): string
    {
        return "(?<{$name}>".self::NAME.')';
    }

    /** On a wire. */
    public static function place(string $name): string
    {
        return "(?<{$name}>".self::PLACE.')';
    }

    /** The letter of a run of beads. */
    public static function letter(string $name): string
    {
        return "(?<{$name}>[a-z]{1,2})";
    }

    public static function side(string $name): string
    {
        return "(?<{$name}>".implode('|', array_keys(self::SIDES)).')';
    }

    /** So many beads, of the line or of a letter. */
    public static function beads(string $count, string $letter): string
    {
        return self::number($count).'(?: (?:of )?'.self::letter($letter).')?';
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

use Hebra\Core\Refusal;

/** Text that is not the quantity it should be. */
final class Unreadable extends Refusal
{
    public static function length(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a length: write a number and a unit, such as 35 mm, 3.5 cm or 2 1/2 in.',
        );
    }

    public static function mil(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' could mean millimetres or thousandths of an inch: write mm, or a decimal inch such as .019 in.',
        );
    }

    public static function mass(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a weight: write a number and g, kg, oz, ozt or dwt, such as 12.4 g.',
        );
    }

    public static function count(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text).' is not a count: write a whole number, such as 3.',
        );
    }

    public static function number(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text).' is not a number: write it in figures, such as 2.5.',
        );
    }

    public static function money(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not an amount: write it with at most two decimals, such as 18.50.',
        );
    }

    public static function currency(string $text): self
    {
        return new self(
            'currency',
            'Currency '.self::shown($text).' is not known: give its three letters, such as EUR, GBP or USD.',
        );
    }

    public static function wireSize(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text).' is not a wire size: write 20 awg, 18 swg, 0.8 mm or .032 in.',
        );
    }

    public static function file(string $path): self
    {
        return new self('file', "File “{$path}” cannot be read: give the path of a piece that Hebra exported.");
    }

    /** @param  list<string>  $accepted */
    public static function choice(string $field, string $text, array $accepted): self
    {
        $read = $text === '' ? 'is empty' : self::shown($text).' is not known here';

        return new self($field, self::titled($field)." {$read}: give one of ".implode(', ', $accepted).'.');
    }

    public static function encoding(string $field): self
    {
        return new self($field, self::titled($field).' is no text: give letters, figures and signs in UTF-8.');
    }

    public static function invisible(string $field, string $sign, int $place): self
    {
        return new self(
            $field,
            self::titled($field).sprintf(
                ' holds a sign that cannot be seen (U+%04X, number %d in it): take it out.',
                mb_ord($sign),
                $place,
            ),
        );
    }

    public static function twice(string $field, string $key): self
    {
        return new self(
            $field,
            self::titled($field).' has '.self::shown($key).' twice in one place: give each name once.',
        );
    }

    public static function tooLong(string $field, int $read, int $most): self
    {
        return new self($field, self::titled($field)." holds {$read} characters: give at most {$most}.");
    }

    public static function line(string $field, string $text, string $form): self
    {
        return new self($field, self::titled($field).' '.self::shown($text)." is not so written: give {$form}.");
    }

    public static function empty(string $field, string $example): self
    {
        return new self($field, self::titled($field).' is empty: give '.$example.'.');
    }

    /**
     * @param  list<string>  $shapes
     * @param  list<string>  $colours
     */
    public static function bead(string $field, string $text, array $shapes, array $colours): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a bead I can read: write a size, a shape and the hole, such as “6mm round, hole 1” or '
                .'“4 x 12mm tube, hole 0.8”; shapes are '
                .implode(', ', $shapes).', colours '.implode(', ', $colours).'.',
        );
    }

    public static function wires(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a list of wires: write count x size, such as 3x28awg or 2x20awg,1x24awg.',
        );
    }

    public static function pattern(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a weave: write turns@cores, such as 4@2 3@1-2 (four turns round core 2, then three round '
                .'cores 1 to 2).',
        );
    }

    public static function passes(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a list of passes: write f for in front and b for behind with the core, such as f1 b2 f3 b3 '
                .'f2 b1.',
        );
    }

    public static function ringSize(string $field, string $text): self
    {
        return new self(
            $field,
            self::titled($field).' '.self::shown($text)
                .' is not a ring size: write us 7, uk N 1/2, iso 54, jp 13, diameter 17.3 mm or circumference 54 mm.',
        );
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

use Hebra\Core\Refusal;

/** A quantity that was read but lies outside what is accepted. */
final class OutOfRange extends Refusal
{
    public static function between(string $field, string $read, string $least, string $most): self
    {
        return new self($field, self::titled($field)." {$read} is out of range: give {$least} to {$most}.");
    }

    public static function size(string $field, string $read, string $most): self
    {
        return new self($field, self::titled($field)." {$read} is not a size: give more than 0 and at most {$most}.");
    }

    public static function tooMany(string $field, int $read, int $most, string $what): self
    {
        return new self($field, self::titled($field)." would come to {$read} {$what}: a piece holds at most {$most}.");
    }

    public static function springs(string $field, float $insideMm): self
    {
        return new self(
            $field,
            self::titled($field).' '.Figures::mm($insideMm)
                .' cannot be reached: this wire springs back so far that no mandrel is thin enough; give a larger '
                .'inside, a softer temper or a thicker wire.',
        );
    }

    public static function thicker(string $field, float $readMm, float $wireMm): self
    {
        return new self(
            $field,
            self::titled($field).' '.Figures::trim($readMm, 3).' mm is more than the wire of '.Figures::trim($wireMm, 3)
                .' mm: give at most the wire.',
        );
    }

    public static function thinner(string $field, float $readMm, float $leastMm): self
    {
        return new self(
            $field,
            self::titled($field).' '.Figures::trim($readMm, 3)
                .' mm is too thin for this rule, wire splits at its edges first: give at least '
                .Figures::trim($leastMm, 3).' mm.',
        );
    }

    public static function tooShort(string $field, float $readMm, float $leastMm, string $takes): self
    {
        return new self(
            $field,
            self::titled($field).' '.Figures::trim($readMm, 2).' mm is too short, '.$takes.' take '
                .Figures::trim($leastMm, 2).' mm: give more than that.',
        );
    }

    /** Any other limit, with its reason and what would do. */
    public static function because(string $field, string $read, string $why, string $accepted): self
    {
        return new self($field, self::titled($field)." {$read} {$why}: give {$accepted}.");
    }
}

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
}

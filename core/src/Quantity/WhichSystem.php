<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

use Hebra\Core\Refusal;

/** A whole bare number where a wire size belongs: three systems could be meant, and the page offers them. */
final class WhichSystem extends Refusal
{
    public int $number = 0;

    public static function of(string $field, string $number): self
    {
        $refusal = new self(
            $field,
            self::titled(
                $field,
            )." “{$number}” could be {$number}awg, {$number}swg or {$number}mm: add which one you mean.",
        );
        $refusal->number = (int) $number;

        return $refusal;
    }
}

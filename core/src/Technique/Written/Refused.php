<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\OutOfRange;

/** What is said of a move that cannot be read or does not go. */
final class Refused
{
    public static function because(string $field, string $written, string $why, string $accepted): OutOfRange
    {
        return OutOfRange::because($field, "“{$written}”", $why, $accepted);
    }

    /** @throws OutOfRange if it lies outside, or is nothing */
    public static function outside(
        string $field, string $written, string $what, float $number, float $least, float $most,
    ): float {
        return $number >= $least && $number <= $most && $number !== 0.0 ? $number : throw self::because(
            $field, $written, "has its {$what} out of range", Figures::trim($least).' to '.Figures::trim($most),
        );
    }
}

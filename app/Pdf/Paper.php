<?php

declare(strict_types=1);

namespace App\Pdf;

use Hebra\Core\Quantity\Ruler;

/** What a sheet is printed on; millimetres. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    /** The one asked for, else what goes with the maker's ruler. */
    public static function of(string $asked, Ruler $ruler): self
    {
        return self::tryFrom(mb_strtolower($asked)) ?? ($ruler->isMetric() ? self::A4 : self::Letter);
    }

    public function widthMm(): float
    {
        return match ($this) {
            self::A4 => 210.0,
            self::Letter => 215.9,
        };
    }

    public function heightMm(): float
    {
        return match ($this) {
            self::A4 => 297.0,
            self::Letter => 279.4,
        };
    }
}

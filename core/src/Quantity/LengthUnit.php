<?php

declare(strict_types=1);

namespace Hebra\Core\Quantity;

/**
 * The units of length that makers write. The inch is 25.4 mm exactly [published: international yard and pound
 * agreement, 1959].
 */
enum LengthUnit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Inch = 'in';
    case Foot = 'ft';
    case Yard = 'yd';

    public function inMillimetres(): float
    {
        return match ($this) {
            self::Millimetre => 1.0,
            self::Centimetre => 10.0,
            self::Metre => 1000.0,
            self::Inch => 25.4,
            self::Foot => 304.8,
            self::Yard => 914.4,
        };
    }

    public static function named(string $word): ?self
    {
        return match (rtrim($word, '.')) {
            'mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters' => self::Millimetre,
            'cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters' => self::Centimetre,
            'm', 'metre', 'metres', 'meter', 'meters' => self::Metre,
            'in', 'inch', 'inches', '"' => self::Inch,
            'ft', 'foot', 'feet', "'" => self::Foot,
            'yd', 'yard', 'yards' => self::Yard,
            default => null,
        };
    }
}

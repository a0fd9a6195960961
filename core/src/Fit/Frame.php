<?php

declare(strict_types=1);

namespace Hebra\Core\Fit;

/**
 * A frame bent from one length: its outline is what is left of the wire when the ends are off. Sizes to the wire's
 * middle: hoop, its diameter; square and triangle, a side; drop, the width of a half circle under two straight sides
 * that meet a width and a half above its lowest point. Millimetres. Source: geometry.
 */
enum Frame: string
{
    case Hoop = 'hoop';
    case Square = 'square';
    case Triangle = 'triangle';
    case Drop = 'drop';

    /** Outline per millimetre of size. */
    public function outline(): float
    {
        return match ($this) {
            self::Hoop => M_PI,
            self::Square => 4.0,
            self::Triangle => 3.0,
            self::Drop => self::dropOutline(),
        };
    }

    /**
     * Half circle of width 1 below, apex 1 above its middle: tangents from the apex, then the arc between their feet.
     */
    private static function dropOutline(): float
    {
        $r = 0.5;
        $apex = 1.0;
        $free = acos($r / $apex);

        return 2 * sqrt($apex ** 2 - $r ** 2) + 2 * (M_PI - $free) * $r;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\WireSize;

/**
 * The next lighter round core, kinder to hands that tire: two numbers on in a numbered system, four fifths of a metric
 * size [common practice: even numbers are stocked]. `effort` is the share of the force that bending it takes, of the
 * same metal and temper over the same lever. Source: plastic moment of a round section, (4/3)r³Y (Timoshenko, Strength
 * of Materials).
 */
final readonly class LighterCore
{
    private const NUMBERS_ON = 2;

    private const MOST_NUMBER = 40;

    private const OF_METRIC = 0.8;

    private function __construct(public WireSize $size, public float $effort)
    {
    }

    /** Null where none lighter is drawn. */
    public static function than(WireSize $core): ?self
    {
        $size = self::next($core);

        return $size === null ? null : new self($size, ($size->diameterMm() / $core->diameterMm()) ** 3);
    }

    private static function next(WireSize $core): ?WireSize
    {
        if ($core->number() === null) {
            $mm = round(self::OF_METRIC * $core->diameterMm(), 2);

            return $mm < WireSize::LEAST_MM ? null : WireSize::millimetres($mm);
        }
        $number = $core->number() + self::NUMBERS_ON;
        if ($number > self::MOST_NUMBER) {
            return null;
        }

        return $core->system() === SizeSystem::Swg ? WireSize::swg($number) : WireSize::awg($number);
    }
}

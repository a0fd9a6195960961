<?php

declare(strict_types=1);

namespace Hebra\Core\Bend;

use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/**
 * One full turn of wire with an inside diameter, along the neutral axis: π(D + d).
 * Units: millimetres. Source of the rule: geometry of the neutral axis; the wire is neither stretched nor thinned.
 */
final class Loop
{
    public const SOURCE = 'geometry: wire is used along its neutral axis';

    public static function lengthMm(float $insideMm, float $wireMm): float
    {
        return M_PI * ($insideMm + $wireMm);
    }

    public static function working(string $what, float $insideMm, float $wireMm): Working
    {
        return new Working(
            $what,
            'π(D + d)',
            'π × ('.Figures::trim($insideMm, 3).' + '.Figures::trim($wireMm, 3).')',
            self::lengthMm($insideMm, $wireMm),
            'mm',
            self::SOURCE,
        );
    }
}

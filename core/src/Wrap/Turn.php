<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * One turn of a wire round something, as a helix on its neutral axis: √((girth of the middle line)² + pitch²).
 * Units: millimetres. Source: geometry; the girth is π(D + w) round one core, π(D + w) + 2(k − 1)s round k in a row.
 */
final class Turn
{
    public const SOURCE = 'geometry: a helix along the neutral axis';

    /** Round one core; close when the pitch is the wire's own thickness. */
    public static function mm(float $coreMm, float $wireMm, ?float $pitchMm = null): float
    {
        return sqrt((M_PI * ($coreMm + $wireMm)) ** 2 + ($pitchMm ?? $wireMm) ** 2);
    }

    /** Round k cores side by side, their middles $spacingMm apart: the hull over them. */
    public static function roundMm(
        int $cores, float $coreMm, float $spacingMm, float $wireMm, ?float $pitchMm = null,
    ): float {
        return sqrt((M_PI * ($coreMm + $wireMm) + 2 * ($cores - 1) * $spacingMm) ** 2 + ($pitchMm ?? $wireMm) ** 2);
    }
}

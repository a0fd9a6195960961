<?php

declare(strict_types=1);

namespace Hebra\Core\Bend;

/**
 * What opens an eye: a pull on a ring of round wire with one gap. It collapses at F = (4/3)r³Y/R, R = D/2 + r the
 * radius of its middle line; the gap begins to open at 3π/16 = 0.589 of that, when the outer fibre yields.
 *
 * Units: millimetres, megapascals, newtons. Source: plastic and elastic section moments of a round bar, (4/3)r³ and
 * πr³/4 [published: Timoshenko, Strength of Materials].
 */
final class EyeStrength
{
    public const SOURCE = 'plastic moment of a round section, (4/3)r³Y, over its lever R (Timoshenko, Strength of '
        .'Materials)';

    public static function openingN(float $wireMm, float $insideMm, float $yieldMpa): float
    {
        $r = $wireMm / 2;

        return 4 / 3 * $r ** 3 * $yieldMpa / ($insideMm / 2 + $r);
    }

    public static function firstYieldN(float $wireMm, float $insideMm, float $yieldMpa): float
    {
        return 3 * M_PI / 16 * self::openingN($wireMm, $insideMm, $yieldMpa);
    }
}

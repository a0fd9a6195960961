<?php

declare(strict_types=1);

namespace Hebra\Core\Chain;

use Hebra\Core\Quantity\OutOfRange;

/**
 * Rings hooked together meet inside to inside: n rings of inside D and wire d are n·D + 2d long. A curved ring of outer
 * radius Ro and inner Ri passes a straight hole of length L if it is Ro − √(Ri² − L²/4) high. Millimetres. Source:
 * geometry.
 */
final class Links
{
    public static function chainMm(int $count, float $insideMm, float $wireMm): float
    {
        return $count * $insideMm + 2 * $wireMm;
    }

    /** @throws OutOfRange if the hole is longer than the ring is wide inside */
    public static function throughMm(float $insideMm, float $wireMm, float $holeLengthMm): float
    {
        if ($holeLengthMm >= $insideMm) {
            throw OutOfRange::because(
                'hole_length',
                round($holeLengthMm, 2).' mm',
                'is longer than the ring is wide inside',
                'less than '.round($insideMm, 2).' mm',
            );
        }

        return $insideMm / 2 + $wireMm - sqrt(($insideMm / 2) ** 2 - $holeLengthMm ** 2 / 4);
    }

    /** How finely the smallest ring is looked for, and how far. */
    private const STEP_MM = 0.05;

    private const MOST_MM = 60.0;

    /**
     * The smallest ring that passes a hole and turns in it: its wire goes through the hole's length in its bend, and
     * its
     * inside reaches round what stands between the hole and the rim, as wide as that and as thick as the hole is long.
     * Null where none does.
     */
    public static function leastMm(float $holeMm, float $wireMm, float $holeLengthMm, float $rimMm): ?float
    {
        $round = hypot($rimMm, $holeLengthMm);
        $least = ceil($round / self::STEP_MM) * self::STEP_MM;
        for ($inside = $least; $inside <= self::MOST_MM; $inside += self::STEP_MM) {
            if ($inside > $holeLengthMm && self::throughMm($inside, $wireMm, $holeLengthMm) <= $holeMm) {
                return round($inside, 2);
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Fit;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\SectionKind;

/**
 * What goes round a finger, a wrist or an ear as wire: cut lengths and what a length makes.
 *
 * Ring blank: turns·π(ID + 2a) + overlap, a = the neutral axis above the inside (t/2; half-round flat side in 4t/3π).
 * Bangle: (π(ID + t) + ends)/lengthening. Hoop: π·diameter to the wire's middle + eye + hook. Memory wire: loops·π·coil
 * + an end each, π·coil of an oval as round as an ellipse. Millimetres. Source: geometry of the neutral axis; the
 * allowances are common practice.
 */
final class Band
{
    public const STRING_RUNS_LARGE_MM = 4.0;

    public const WIDE_FROM_MM = 6.0;

    public const VERY_WIDE_FROM_MM = 10.0;

    /**
     * How much larger a wide band is made, mm of diameter: a quarter size from 6 mm on, half a size from 10 [common
     * practice].
     */
    public static function widerMm(float $widthMm): float
    {
        $sizes = match (true) {
            $widthMm >= self::VERY_WIDE_FROM_MM => 0.5,
            $widthMm >= self::WIDE_FROM_MM => 0.25,
            default => 0.0,
        };

        return $sizes * RingSize::US_STEP_MM;
    }

    public static function neutralMm(SectionKind $kind, float $thicknessMm): float
    {
        return $kind === SectionKind::HalfRound ? 4 * $thicknessMm / (3 * M_PI) : $thicknessMm / 2;
    }

    public static function ringBlankMm(float $insideMm, float $neutralMm, float $turns = 1, float $overlapMm = 0): float
    {
        return $turns * M_PI * ($insideMm + 2 * $neutralMm) + $overlapMm;
    }

    public static function bangleMm(float $insideMm, float $wireMm, float $endsMm, ?Hammered $flat = null): float
    {
        return (M_PI * ($insideMm + ($flat->thicknessMm ?? $wireMm)) + $endsMm) / ($flat?->lengthening() ?? 1.0);
    }

    /** @throws OutOfRange if the wire does not close at all */
    public static function bangleInsideMm(float $haveMm, float $wireMm, float $endsMm, ?Hammered $flat = null): float
    {
        $inside = ($haveMm * ($flat?->lengthening() ?? 1.0) - $endsMm) / M_PI - ($flat->thicknessMm ?? $wireMm);

        return $inside > 0
            ? $inside
            : throw OutOfRange::tooShort(
                'have',
                $haveMm,
                self::bangleMm(0.0, $wireMm, $endsMm, $flat),
                'the ends alone',
            );
    }

    public static function hoopMm(float $diameterMm, float $wireMm, float $eyeMm, float $hookMm): float
    {
        return M_PI * $diameterMm + M_PI * ($eyeMm + $wireMm) + $hookMm;
    }

    /** @throws OutOfRange if eye and hook take it all */
    public static function hoopDiameterMm(float $haveMm, float $wireMm, float $eyeMm, float $hookMm): float
    {
        $diameter = ($haveMm - M_PI * ($eyeMm + $wireMm) - $hookMm) / M_PI;

        return $diameter > 0
            ? $diameter
            : throw OutOfRange::tooShort(
                'have',
                $haveMm,
                self::hoopMm(0.0, $wireMm, $eyeMm, $hookMm),
                'eye and hook alone',
            );
    }

    public static function memoryWireMm(float $coilMm, float $loops, float $endMm): float
    {
        return $loops * M_PI * $coilMm + 2 * $endMm;
    }

    /**
     * Round an oval of two widths: π/2 · (3(a + b) − √((3a + b)(a + 3b))) [published: Ramanujan 1914, of an
     * ellipse; out
     * by less than a ten-thousandth down to a third as wide as long].
     */
    public static function ovalMm(float $oneMm, float $otherMm): float
    {
        return M_PI / 2 * (3 * ($oneMm + $otherMm) - sqrt((3 * $oneMm + $otherMm) * ($oneMm + 3 * $otherMm)));
    }

    /** How long an oval is that goes so far round and is so wide the other way. */
    public static function ovalLongMm(float $roundMm, float $otherMm): float
    {
        [$least, $most] = [0.0, $roundMm];
        for ($halving = 0; $halving < 50; $halving++) {
            $middle = ($least + $most) / 2;
            [$least, $most] = self::ovalMm($middle, $otherMm) < $roundMm ? [$middle, $most] : [$least, $middle];
        }

        return $most;
    }

    /** Beads of a thickness on a strand of a length eat into the inside: L − πB. */
    public static function strandInsideMm(float $lengthMm, float $beadMm): float
    {
        return $lengthMm - M_PI * $beadMm;
    }
}

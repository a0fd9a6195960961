<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * What goes round a bead or back and forth through a row of them.
 *
 * Surround: the bail π(B + d), twice the hole, the rim, and each leg's wraps round both legs. Multi-pass: for every
 * bead and pass about half a turn round it, π(W + w)/2, and a crossing to the next of a third of its width; two turns
 * round the core at each end of every pass. Millimetres. Source: geometry; the allowance at the ends is common
 * practice.
 */
final class Binding
{
    /** Of a bead's width, from one to the next [common practice]. */
    private const CROSSING = 1 / 3;

    public static function surroundMm(float $wireMm, float $rimMm, float $holeMm, float $bailMm, int $wraps): float
    {
        return M_PI * ($bailMm + $wireMm) + 2 * $holeMm + $rimMm + 2 * $wraps * self::legsMm($wireMm);
    }

    /** One wrap round the two legs of a bail, side by side. */
    public static function legsMm(float $wireMm): float
    {
        return Turn::roundMm(2, $wireMm, $wireMm, $wireMm);
    }

    public static function passMm(float $wireMm, int $beads, float $beadWidthMm): float
    {
        return $beads * (M_PI * ($beadWidthMm + $wireMm) / 2 + self::CROSSING * $beadWidthMm);
    }

    /** Of one pass: two turns at each of its ends. */
    public static function endsMm(float $wireMm, float $coreMm, int $cores = 1): float
    {
        return 4 * Turn::roundMm($cores, $coreMm, $coreMm, $wireMm);
    }
}

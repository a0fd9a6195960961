<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * What goes round a bead or back and forth through a row of them.
 *
 * Surround: the bail π(B + d), twice the hole, the rim, and each leg's wraps on the bail. Multi-pass: for every bead and pass
 * about half a turn round it, π(W + w)/2, plus the crossing through its hole, and two turns round the core at each end.
 * Millimetres. Source: geometry; the allowance at the ends is common practice.
 */
final class Binding
{
    public static function surroundMm(float $wireMm, float $rimMm, float $holeMm, float $bailMm, int $wraps): float
    {
        return M_PI * ($bailMm + $wireMm) + 2 * $holeMm + $rimMm + 2 * $wraps * Turn::mm($wireMm, $wireMm);
    }

    public static function passMm(float $wireMm, int $beads, float $beadLengthMm, float $beadWidthMm): float
    {
        return $beads * (M_PI * ($beadWidthMm + $wireMm) / 2 + $beadLengthMm);
    }

    public static function endsMm(float $wireMm, float $coreMm): float
    {
        return 4 * Turn::mm($coreMm, $wireMm);
    }
}

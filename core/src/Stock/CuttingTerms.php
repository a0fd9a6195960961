<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * What a length of wire is worth, and what it costs to take it in hand. Millimetres, and millimetres of worth.
 *
 * Below `keep` a length r is worth scrap-worth·r. From there on it is worth the larger of that and
 * offcut-worth·min(r, coil) + max(0, r − coil) − lot: so much of it counts as offcut, what is beyond as coil, and each
 * length kept costs its storing and finding. Source: common practice, as the handbook of this project states it.
 */
final readonly class CuttingTerms
{
    /** What each cut costs besides its length: a clean end, or the saw's kerf [common practice]. */
    public const TRIM_MM = 1.0;

    public function __construct(
        public float $keepMm = 60.0,
        public float $coilMm = 1000.0,
        public float $offcutWorth = 0.6,
        public float $scrapWorth = 0.0,
        public float $lotMm = 18.0,
        public float $handlingMm = 2.0,
        public float $buyMm = 20.0,
        public float $trimMm = self::TRIM_MM,
    ) {
    }

    /** What a length left is worth; never less than that of a shorter one. */
    public function worthMm(float $lengthMm): float
    {
        $scrap = $this->scrapWorth * $lengthMm;
        if ($lengthMm < $this->keepMm - 1e-9) {
            return $scrap;
        }

        return max(
            $scrap,
            $this->offcutWorth * min($lengthMm, $this->coilMm) + max(0.0, $lengthMm - $this->coilMm) - $this->lotMm,
        );
    }
}

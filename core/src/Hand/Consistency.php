<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * How alike sizes come out that were meant to be alike, in the order they were made: how far off in the middle, how
 * much they vary, whether they drift, and what that means for pairs. Of n sizes: mean, standard deviation of n − 1;
 * drift is the slope of least squares, told where it is more than t(n − 2, 97.5 %) of its own error; two of a pair
 * differ by less than √2 · s · t(n − 1, 90 %) in four of five cases [published: the usual formulas of a normal sample].
 * Millimetres.
 */
final readonly class Consistency
{
    public const LEAST = 3;

    /** Two that differ by less are taken for alike [common practice]. */
    public const TO_THE_EYE_MM = 0.3;

    private function __construct(
        public int $count,
        public float $offMm,
        public float $spreadMm,
        /** from one to the next */
        public float $driftMm,
        public bool $isDrifting,
        public float $pairMm,
    ) {
    }

    /**
     * @param  list<float>  $offs  measured less wanted, in order
     * @return self|null null where there are fewer than three
     */
    public static function of(array $offs): ?self
    {
        $n = count($offs);
        if ($n < self::LEAST) {
            return null;
        }
        $mean = array_sum($offs) / $n;
        $squares = array_sum(array_map(fn (float $off): float => ($off - $mean) ** 2, $offs));
        $spread = sqrt($squares / ($n - 1));
        $middle = ($n - 1) / 2;
        $along = $n * ($n ** 2 - 1) / 12;
        $slope = 0.0;
        foreach ($offs as $at => $off) {
            $slope += ($at - $middle) * ($off - $mean) / $along;
        }
        $rest = sqrt(max(0.0, $squares - $slope ** 2 * $along) / ($n - 2));
        $isDrifting = abs($slope) > 1e-9
            && abs($slope) > (new StudentT($n - 2))->quantile(0.975) * $rest / sqrt($along);

        return new self(
            $n,
            $mean,
            $spread,
            $slope,
            $isDrifting,
            M_SQRT2 * $spread * (new StudentT($n - 1))->quantile(0.9),
        );
    }
}

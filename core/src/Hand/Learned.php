<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * What some logs teach: a normal-inverse-gamma model, prior mean 1 worth 0.14 logs, prior spread 3 % worth 3 logs
 * [memory: a maker's mean varies 8 %, the usual spread is 3 %]. κ = κ0 + n; ν = ν0 + n; m = (κ0 + Σx)/κ; s² = [ν0 s0² +
 * Σ(x − x̄)² + κ0 n (x̄ − 1)²/κ]/ν; the next is a Student t of ν about m with scale s√(1 + 1/κ) [published: the usual
 * conjugate model of a normal of unknown mean and variance].
 *
 * A lower bound stands for the predictive mean above it, settled to 1e-6. From five logs on one that lies further from
 * the median than 3.5 × 1.4826 × MAD (MAD at least 0.005) is held out [published: Iglewicz & Hoaglin 1993]. Fewer than
 * three teach nothing.
 */
final readonly class Learned
{
    public const LEAST = 3;

    private const OUTLIERS_FROM = 5;

    private const FAR = 3.5 * 1.4826;

    private const LEAST_MAD = 0.005;

    private const PRIOR_MEAN_WORTH = 0.14;

    private const PRIOR_SPREAD_WORTH = 3;

    private const PRIOR_SPREAD = 0.03;

    private const ROUNDS = 2000;

    public StudentT $t;

    private float $scale;

    /** @param  list<int>  $heldOut  which logs were, by their place */
    private function __construct(
        public int $count,
        public float $mean,
        public float $spread,
        private float $worth,
        public array $heldOut,
    ) {
        $this->t = new StudentT(self::PRIOR_SPREAD_WORTH + $count);
        $this->scale = $spread * sqrt(1 + 1 / $worth);
    }

    /**
     * @param  list<Log>  $logs
     * @param  float  $spread  of the prior: 0.03 for wire
     * @param  float  $worth  of the prior mean, in logs
     */
    public static function from(
        array $logs,
        float $spread = self::PRIOR_SPREAD,
        float $worth = self::PRIOR_MEAN_WORTH,
    ): self {
        $heldOut = self::farOff($logs);
        $kept = array_values(array_diff_key($logs, array_flip($heldOut)));
        $ratios = array_map(fn (Log $log): float => $log->ratio, $kept);
        $now = self::fitted($ratios, $heldOut, $spread, $worth);
        $bounds = array_filter($kept, fn (Log $log): bool => $log->isBound);
        for ($round = 0; $bounds !== [] && $round < self::ROUNDS; $round++) {
            $moved = 0.0;
            foreach ($bounds as $at => $log) {
                $next = $now->mean + $now->scale * $now->t->meanAbove(($log->ratio - $now->mean) / $now->scale);
                $moved = max($moved, abs($next - $ratios[$at]));
                $ratios[$at] = $next;
            }
            $now = self::fitted(array_values($ratios), $heldOut, $spread, $worth);
            if ($moved < 1e-6) {
                break;
            }
        }

        return $now;
    }

    /**
     * @param  list<float>  $ratios
     * @param  list<int>  $heldOut
     */
    private static function fitted(array $ratios, array $heldOut, float $spread, float $worth): self
    {
        $n = count($ratios);
        $average = $n === 0 ? 1.0 : array_sum($ratios) / $n;
        $kappa = $worth + $n;
        $squares = self::PRIOR_SPREAD_WORTH * $spread ** 2 + array_sum(
            array_map(fn (float $x): float => ($x - $average) ** 2, $ratios),
        ) + $worth * $n * ($average - 1) ** 2 / $kappa;

        return new self(
            $n,
            ($worth + $n * $average) / $kappa,
            sqrt($squares / (self::PRIOR_SPREAD_WORTH + $n)),
            $kappa,
            $heldOut,
        );
    }

    /**
     * @param  list<Log>  $logs
     * @return list<int>
     */
    private static function farOff(array $logs): array
    {
        if (count($logs) < self::OUTLIERS_FROM) {
            return [];
        }
        $middle = self::median(array_map(fn (Log $log): float => $log->ratio, $logs));
        $mad = max(self::LEAST_MAD, self::median(array_map(fn (Log $log): float => abs($log->ratio - $middle), $logs)));

        return array_keys(
            array_filter(
                $logs,
                fn (Log $log): bool => ! $log->isPutBack && abs($log->ratio - $middle) > self::FAR * $mad,
            ),
        );
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }

    /** Whether there is enough to go by: with less, the plain sum stands. */
    public function isLearned(): bool
    {
        return $this->count >= self::LEAST;
    }

    /** The factor on the formed length: the mean, or 1 as long as nothing is learned. */
    public function factor(): float
    {
        return $this->isLearned() ? $this->mean : 1.0;
    }

    /** The ratio that the next stays below in a share p of all cases; 1 as long as nothing is learned. */
    public function quantile(float $p): float
    {
        return $this->isLearned() ? $this->mean + $this->scale * $this->t->quantile($p) : 1.0;
    }

    /** How likely the next stays at or below a ratio. */
    public function below(float $ratio): float
    {
        return $this->t->below(($ratio - $this->mean) / $this->scale);
    }

    /** How much of a ratio that is laid out is left over, on average. */
    public function leftOf(float $ratio): float
    {
        return $this->scale * $this->t->meanShortfallTo(($ratio - $this->mean) / $this->scale);
    }

    /** How uncertain the mean itself is: its standard deviation. */
    public function doubt(): float
    {
        return $this->spread / sqrt($this->worth);
    }
}

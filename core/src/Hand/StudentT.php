<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * Student's t distribution of a whole number of degrees of freedom. Density in closed form; distribution by the finite
 * trigonometric series of Abramowitz & Stegun 26.7.3 and 26.7.4, cost O(freedom); quantile by bisection and Newton to
 * 1e-12.
 */
final readonly class StudentT
{
    private float $scale;

    /** @throws \ValueError if there is less than one degree of freedom */
    public function __construct(public int $freedom)
    {
        $freedom >= 1 || throw new \ValueError("Degrees of freedom {$freedom}: give 1 or more.");
        // Γ((n+1)/2) / Γ(n/2) / √(nπ), by Γ(x+1) = xΓ(x) from n = 1 or 2 on.
        $ratio = $freedom % 2 === 1 ? 1 / sqrt(M_PI) : sqrt(M_PI) / 2;
        for ($n = $freedom % 2 === 1 ? 1 : 2; $n < $freedom; $n += 2) {
            $ratio *= ($n + 1) / $n;
        }
        $this->scale = $ratio / sqrt($freedom * M_PI);
    }

    public function density(float $t): float
    {
        return $this->scale * (1 + $t ** 2 / $this->freedom) ** (-($this->freedom + 1) / 2);
    }

    /** P(T ≤ t). */
    public function below(float $t): float
    {
        $n = $this->freedom;
        $angle = atan($t / sqrt($n));
        [$sine, $cosine] = [sin($angle), cos($angle)];
        $isOdd = $n % 2 === 1;
        $term = $isOdd ? $cosine : 1.0;
        $sum = $n === 1 ? 0.0 : $term;
        for ($k = $isOdd ? 3 : 2; $k <= $n - 2; $k += 2) {
            $term *= ($k - 1) / $k * $cosine ** 2;
            $sum += $term;
        }
        $middle = $isOdd ? 2 / M_PI * ($angle + $sine * $sum) : $sine * $sum;

        return (1 + $middle) / 2;
    }

    /**
     * @param  float  $p  0 < p < 1
     *
     * @throws \ValueError outside
     */
    public function quantile(float $p): float
    {
        $p > 0 && $p < 1 || throw new \ValueError("Probability {$p}: give one between 0 and 1.");
        if ($p < 0.5) {
            return -$this->quantile(1 - $p);
        }
        $high = 1.0;
        while ($this->below($high) < $p && $high < 1e9) {
            $high *= 2;
        }
        $low = 0.0;
        for ($round = 0; $round < 200 && $high - $low > 1e-12 * max(1.0, $high); $round++) {
            $middle = ($low + $high) / 2;
            $this->below($middle) < $p ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** E[max(0, t − T)]: what is left over on average where t was laid out; needs two degrees of freedom. */
    public function meanShortfallTo(float $t): float
    {
        return $t * $this->below($t) + $this->density($t) * ($this->freedom + $t ** 2) / ($this->freedom - 1);
    }

    /** E[T | T > t]; needs two degrees of freedom. */
    public function meanAbove(float $t): float
    {
        $beyond = 1 - $this->below($t);

        // Far out the tail falls as a power: its mean lies n/(n−1) beyond.
        return $beyond < 1e-13
            ? $t * $this->freedom / ($this->freedom - 1)
            : $this->density($t) * ($this->freedom + $t ** 2) / ($this->freedom - 1) / $beyond;
    }
}

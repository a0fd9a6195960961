<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Hand;

/** Simulated makers, seeded: each with a factor of their own about 1 and a spread of their own. */
final class Makers
{
    public function __construct(int $seed)
    {
        mt_srand($seed);
    }

    public function normal(float $mean, float $spread): float
    {
        // Box and Muller 1958.
        return $mean + $spread * sqrt(
            -2 * log((mt_rand() + 1) / (mt_getrandmax() + 2)),
        ) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    }

    /** @return array{float, float} factor and spread */
    public function maker(): array
    {
        return [$this->normal(1.0, 0.06), [0.01, 0.02, 0.04, 0.06][mt_rand(0, 3)]];
    }
}

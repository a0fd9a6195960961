<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * A flat spiral of N tight turns from an inside D: wire N·π(D + N·d), width D + 2N·d. Millimetres. Source: geometry,
 * the mean turn times their number.
 */
final readonly class Spiral
{
    public function __construct(public float $wireMm, public float $insideMm, public float $turns)
    {
    }

    /** The turns that a length of wire makes: N²·πd + N·πD = have. */
    public static function ofWire(float $wireMm, float $insideMm, float $haveMm): self
    {
        [$a, $b] = [M_PI * $wireMm, M_PI * $insideMm];

        return new self($wireMm, $insideMm, (sqrt($b ** 2 + 4 * $a * $haveMm) - $b) / (2 * $a));
    }

    public function wireLengthMm(): float
    {
        return $this->turns * M_PI * ($this->insideMm + $this->turns * $this->wireMm);
    }

    public function widthMm(): float
    {
        return $this->insideMm + 2 * $this->turns * $this->wireMm;
    }
}

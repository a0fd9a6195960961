<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/**
 * Do these wires pass this hole together? Needed = diameter of the smallest circle round the wires; margin = hole −
 * needed − clearance; fits from a margin of −1e-6 mm on. Units: millimetres.
 */
final readonly class HoleFit
{
    /** @param  non-empty-list<float>  $wiresMm diameters, each > 0 */
    public function __construct(
        public float $holeMm,
        public array $wiresMm,
        public float $clearanceMm = 0.0,
    ) {
    }

    public function neededMm(): float
    {
        return WirePacking::neededMm($this->wiresMm);
    }

    /** The least hole that they pass. */
    public function leastMm(): float
    {
        return $this->neededMm() + $this->clearanceMm;
    }

    public function marginMm(): float
    {
        return $this->holeMm - $this->leastMm();
    }

    public function fits(): bool
    {
        return $this->marginMm() >= -1e-6;
    }
}

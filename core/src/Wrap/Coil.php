<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * A coil wound on a mandrel: turns = L/p, wire = turns·√((π(M + d))² + p²), close where p = d, outside M + 2d.
 * Fractions of a turn are kept; no tails. Units: millimetres. Source: geometry. Invariant: pitch ≥ wire, for a turn
 * that rides over another spoils the coil.
 */
final readonly class Coil
{
    private function __construct(
        public float $wireMm,
        public float $mandrelMm,
        public float $pitchMm,
        public float $turns,
    ) {
    }

    public static function ofTurns(float $wireMm, float $mandrelMm, float $pitchMm, float $turns): self
    {
        return new self($wireMm, $mandrelMm, $pitchMm, $turns);
    }

    public static function ofLength(float $wireMm, float $mandrelMm, float $pitchMm, float $lengthMm): self
    {
        return new self($wireMm, $mandrelMm, $pitchMm, $lengthMm / $pitchMm);
    }

    /** From a length of wire: what it makes. */
    public static function ofWire(float $wireMm, float $mandrelMm, float $pitchMm, float $haveMm): self
    {
        return new self($wireMm, $mandrelMm, $pitchMm, $haveMm / Turn::mm($mandrelMm, $wireMm, $pitchMm));
    }

    public function turnMm(): float
    {
        return Turn::mm($this->mandrelMm, $this->wireMm, $this->pitchMm);
    }

    public function wireLengthMm(): float
    {
        return $this->turns * $this->turnMm();
    }

    public function lengthMm(): float
    {
        return $this->turns * $this->pitchMm;
    }

    public function outsideMm(): float
    {
        return $this->mandrelMm + 2 * $this->wireMm;
    }
}

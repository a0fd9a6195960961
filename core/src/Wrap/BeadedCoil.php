<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * Beads strung on a wire that turns round a mandrel: the wire's middle lies half a bead off the mandrel, the turns
 * stand a bead's width apart. One turn √((π(M + W))² + W²); beads a turn = that / bead length.
 *
 * Units: millimetres. Source: geometry. Beads, turns, length and wire give each other.
 */
final readonly class BeadedCoil
{
    public function __construct(
        public float $mandrelMm,
        public float $beadLengthMm,
        public float $beadWidthMm,
        public float $turns,
    ) {
    }

    public static function ofBeads(float $mandrelMm, float $beadLengthMm, float $beadWidthMm, int $beads): self
    {
        return new self(
            $mandrelMm,
            $beadLengthMm,
            $beadWidthMm,
            $beads * $beadLengthMm / Turn::mm($mandrelMm, $beadWidthMm),
        );
    }

    public static function ofLength(float $mandrelMm, float $beadLengthMm, float $beadWidthMm, float $lengthMm): self
    {
        return new self($mandrelMm, $beadLengthMm, $beadWidthMm, $lengthMm / $beadWidthMm);
    }

    /** What a wire in hand takes: as many whole beads as go on it, and the turns they make. */
    public static function ofWire(float $mandrelMm, float $beadLengthMm, float $beadWidthMm, float $haveMm): self
    {
        return self::ofBeads($mandrelMm, $beadLengthMm, $beadWidthMm, (int) floor($haveMm / $beadLengthMm + 1e-9));
    }

    public function wireLengthMm(): float
    {
        return $this->turns * Turn::mm($this->mandrelMm, $this->beadWidthMm);
    }

    /** Whole beads that find room. */
    public function beads(): int
    {
        return (int) floor($this->wireLengthMm() / $this->beadLengthMm + 1e-9);
    }

    public function lengthMm(): float
    {
        return $this->turns * $this->beadWidthMm;
    }

    public function outsideMm(): float
    {
        return $this->mandrelMm + 2 * $this->beadWidthMm;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;

/**
 * Beads bound along one core, or two side by side. T = one wrap round the core(s). A bead seated on the core costs
 * b + 2·(W − w)/2, centred astride it b + 2·√(((W − w)/2)² + (W/2)²); between beads k wraps, at each end a coil. Wire =
 * beads + wraps·T, covered = Σ b + wraps·w, end coils included. A bead no wider than the wire needs no jog. No tails.
 *
 * Units: millimetres. Source: geometry; the seats and the two to four wraps between are common practice.
 */
final readonly class BeadWrap
{
    public const SOURCE = 'geometry: beads + wraps round the core; the seats are common practice';

    public function __construct(
        public float $coreMm,
        public int $cores,
        public float $wireMm,
        public int $beads,
        public float $beadLengthMm,
        public float $beadWidthMm,
        public float $wrapsBetween,
        public float $endCoilTurns,
        public bool $isCentred,
    ) {
    }

    public function withBeads(int $beads): self
    {
        return new self(
            $this->coreMm, $this->cores, $this->wireMm, $beads, $this->beadLengthMm, $this->beadWidthMm,
            $this->wrapsBetween, $this->endCoilTurns, $this->isCentred,
        );
    }

    /**
     * As many whole beads as a length of wire binds.
     *
     * @throws OutOfRange if it is too short for one
     */
    public function fromWire(float $haveMm): self
    {
        $ends = 2 * $this->endCoilTurns * $this->wrapMm();
        $between = $this->wrapsBetween * $this->wrapMm();
        $beads = (int) floor(($haveMm + $between - $ends) / ($this->beadMm() + $between) + 1e-9);
        if ($beads < 1) {
            throw OutOfRange::tooShort('have', $haveMm, $ends + $this->beadMm(), 'the first bead and both end coils');
        }

        return $this->withBeads(min($beads, 10_000));
    }

    public function wrapMm(): float
    {
        return Turn::roundMm($this->cores, $this->coreMm, $this->coreMm, $this->wireMm);
    }

    public function beadMm(): float
    {
        $jog = max(0.0, ($this->beadWidthMm - $this->wireMm) / 2);

        return $this->beadLengthMm + 2 * ($this->isCentred ? hypot($jog, $this->beadWidthMm / 2) : $jog);
    }

    public function wraps(): float
    {
        return $this->wrapsBetween * max(0, $this->beads - 1) + 2 * $this->endCoilTurns;
    }

    public function wireLengthMm(): float
    {
        return $this->beads * $this->beadMm() + $this->wraps() * $this->wrapMm();
    }

    public function coveredMm(): float
    {
        return $this->beads * $this->beadLengthMm + $this->wraps() * $this->wireMm;
    }
}

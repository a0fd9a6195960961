<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * A coil slid on a core and wound again. First coil: outside od = M1 + 2w. It is wound on M2 in T = L/od turns that
 * touch on the inner side of the bend, so that its straight length is T·√((π(M2 + w))² + od²); wire turns = that / w.
 * The core runs on the middle line, T·√((π(M2 + od))² + od²), with bare turns of its own at each end where wanted.
 * Outside M2 + 2·od.
 *
 * Units: millimetres. Source: geometry; the bare end turns, about five, are common practice.
 */
final readonly class CoiledCoil
{
    public function __construct(
        public float $wireMm,
        public float $coreMm,
        public float $firstMandrelMm,
        public float $mandrelMm,
        public float $lengthMm,
        public float $endTurns = 0.0,
    ) {
    }

    /** The length that a length of wire makes: everything grows with it alike. */
    public static function ofWire(
        float $wireMm, float $coreMm, float $firstMandrelMm, float $mandrelMm, float $haveMm, float $endTurns = 0.0,
    ): self {
        $one = new self($wireMm, $coreMm, $firstMandrelMm, $mandrelMm, 1.0);

        return new self($wireMm, $coreMm, $firstMandrelMm, $mandrelMm, $haveMm / $one->wireLengthMm(), $endTurns);
    }

    public function firstOutsideMm(): float
    {
        return $this->firstMandrelMm + 2 * $this->wireMm;
    }

    public function turns(): float
    {
        return $this->lengthMm / $this->firstOutsideMm();
    }

    public function firstCoilLengthMm(): float
    {
        return $this->turns() * Turn::mm($this->mandrelMm, $this->wireMm, $this->firstOutsideMm());
    }

    public function wireLengthMm(): float
    {
        return $this->firstCoilLengthMm() / $this->wireMm * Turn::mm($this->firstMandrelMm, $this->wireMm);
    }

    public function coreLengthMm(): float
    {
        return $this->turns() * Turn::mm($this->mandrelMm, $this->firstOutsideMm())
            + 2 * $this->endTurns * Turn::mm($this->mandrelMm, $this->coreMm);
    }

    public function outsideMm(): float
    {
        return $this->mandrelMm + 2 * $this->firstOutsideMm();
    }
}

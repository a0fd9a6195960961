<?php

declare(strict_types=1);

namespace Hebra\Core\Plate;

/**
 * A hole of a flat part, or a ring soldered to its rim: its middle from the part's middle, right and down, and its
 * inside. Millimetres.
 */
final readonly class Hole
{
    public function __construct(
        public string $name,
        public float $xMm,
        public float $yMm,
        public float $insideMm,
        /** whether it is a ring that stands out from the rim */
        public bool $isRing = false,
        /** whether that ring stands across the part's face */
        public bool $isAcross = false,
    ) {
    }

    /** Turned about the part's middle, clockwise as it is seen. */
    public function turned(float $radians): self
    {
        [$cos, $sin] = [cos($radians), sin($radians)];

        return new self(
            $this->name, $this->xMm * $cos - $this->yMm * $sin, $this->xMm * $sin + $this->yMm * $cos, $this->insideMm,
            $this->isRing, $this->isAcross,
        );
    }

    public function moved(float $xMm, float $yMm): self
    {
        return new self(
            $this->name, $this->xMm + $xMm, $this->yMm + $yMm, $this->insideMm, $this->isRing, $this->isAcross,
        );
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/** A wire a maker can name: metal, size with its section, temper. */
final readonly class Wire
{
    /** What cuts hardened wire. */
    public const SHEARS = 'shears for hard wire';

    public function __construct(
        public Metal $metal,
        public WireSize $size,
        public Temper $temper,
    ) {
    }

    /**
     * Whether cutters for soft wire are ruined by it, and it is worked as it comes: memory wire, spring temper, hard
     * steel [common practice].
     */
    public function isHardened(): bool
    {
        return $this->temper === Temper::Spring
            || ($this->metal === Metal::Stainless && $this->temper !== Temper::DeadSoft);
    }

    /** What it adds to the inside of a bend, to its middle line. */
    public function diameterMm(): float
    {
        return $this->size->diameterMm();
    }

    /** How wide it lies, turn beside turn. */
    public function widthMm(): float
    {
        return $this->size->widthMm();
    }

    /** Mass per length = area · density; mm² · g/cm³ is mg/mm. */
    public function milligramsPerMm(): float
    {
        return $this->size->section()->areaMm2() * $this->metal->gramsPerCubicCentimetre();
    }

    public function gramsOf(float $lengthMm): float
    {
        return $this->milligramsPerMm() * $lengthMm / 1000;
    }

    /** `sterling silver 22 AWG, dead soft` */
    public function words(): string
    {
        return $this->metal->words().' '.$this->size->text().', '.$this->temper->words();
    }

    public function withSize(WireSize $size): self
    {
        return new self($this->metal, $size, $this->temper);
    }

    public function withMetal(Metal $metal): self
    {
        return new self($metal, $this->size, $this->temper);
    }

    public function withTemper(Temper $temper): self
    {
        return new self($this->metal, $this->size, $temper);
    }

    /** One key for one kind of wire: what stock and plan are matched by. */
    public function key(): string
    {
        return $this->metal->value.'/'.$this->size->code().'/'.$this->temper->value;
    }
}

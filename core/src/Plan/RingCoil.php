<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Quantity\Figures;

/**
 * Rings of one wire and one inside that are wound as one coil and cut apart: how many. Beads of coil are the same with
 * more than one turn each. A cut of one part's rings carries it until all are known. Millimetres.
 */
final readonly class RingCoil
{
    /** @param  float|null  $eachMm  how long each is along the coil; null for a ring, which is one turn */
    public function __construct(public float $insideMm, public int $count, public ?float $eachMm = null)
    {
    }

    public function times(int $count): self
    {
        return new self($this->insideMm, $this->count * $count, $this->eachMm);
    }

    /** What is wound together. */
    public function key(): string
    {
        return round($this->insideMm, 4).'/'.round($this->eachMm ?? 0.0, 4);
    }

    public function turnsEach(float $wireMm): float
    {
        return $this->eachMm === null ? 1.0 : $this->eachMm / $wireMm;
    }

    /** Of the whole coil: one more, for the two half turns at its ends are lost [common practice]. */
    public function turns(float $wireMm): float
    {
        return $this->count * $this->turnsEach($wireMm) + 1;
    }

    public function thing(): string
    {
        return $this->eachMm === null ? 'ring' : 'coil bead';
    }

    public function words(): string
    {
        return Figures::counted($this->count, $this->thing());
    }
}

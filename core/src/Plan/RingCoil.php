<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * Rings of one wire and one inside that are wound as one coil and cut apart: how many. A cut of one part's rings
 * carries it until all are known.
 */
final readonly class RingCoil
{
    public function __construct(public float $insideMm, public int $count)
    {
    }

    public function times(int $count): self
    {
        return new self($this->insideMm, $this->count * $count);
    }
}

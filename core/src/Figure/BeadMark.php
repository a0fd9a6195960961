<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Wire\Metal;

/**
 * A bead in the drawing, its upper end at topMm, xMm beside the middle line, turned clockwise by so many degrees about
 * its middle.
 */
final readonly class BeadMark
{
    public function __construct(
        public Bead $bead, public float $topMm, public string $mark, public float $xMm = 0.0,
        public float $turn = 0.0,
        /** drawn after the wires of its layer: 0 behind, 1 in the middle */
        public int $layer = 1,
        /** how wide and how long it is seen beside what it is, from where it looks to */
        public float $wide = 1.0,
        public float $long = 1.0,
        /** what it is wound of, where it is wound of wire */
        public ?Metal $metal = null,
    ) {
    }

    /** @return array{float, float, float, float} how far its middle reaches: left, top, right, bottom */
    public function bounds(): array
    {
        $middle = $this->topMm + $this->bead->lengthMm / 2;

        return [$this->xMm, $middle, $this->xMm, $middle];
    }

    /** However it is turned it reaches no farther from there. */
    public function aroundMm(): float
    {
        return hypot($this->bead->widthMm, $this->bead->lengthMm) / 2;
    }

    public function woundOf(Metal $metal): self
    {
        return new self(
            $this->bead, $this->topMm, $this->mark, $this->xMm, $this->turn, $this->layer, $this->wide, $this->long,
            $metal,
        );
    }

    public function marked(string $mark): self
    {
        return new self(
            $this->bead, $this->topMm, $mark, $this->xMm, $this->turn, $this->layer, $this->wide, $this->long,
            $this->metal,
        );
    }

    public function bent(Arc $arc): self
    {
        $half = $this->bead->lengthMm / 2;
        [$x, $y] = $arc->at($this->xMm, $this->topMm + $half);

        return new self(
            $this->bead,
            round($y - $half, 4),
            $this->mark,
            round($x, 4),
            $this->turn + round($arc->degrees($this->topMm + $half), 2),
            $this->layer, $this->wide, $this->long, $this->metal,
        );
    }

    public function posed(Pose $pose): self
    {
        $half = $this->bead->lengthMm / 2;
        [$x, $y] = $pose->at($this->xMm, $this->topMm + $half);

        return new self(
            $this->bead, round($y - $half, 4), $this->mark, round($x, 4), $this->turn + $pose->degrees, $this->layer,
            $this->wide, $this->long, $this->metal,
        );
    }
}

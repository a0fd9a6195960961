<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Bead\Bead;

/** Beads of one kind on a stretch, as many as stand there side by side. */
final readonly class Threaded
{
    public function __construct(
        public Bead $bead,
        public int $count,
        public string $mark,
        /** whether its upper end, as beads are drawn, lies towards the last end of the wire */
        public bool $isTurned = false,
        public ?Crimped $held = null,
        /** where along its stretch it begins, mm; null where it follows what stands before it */
        public ?float $atMm = null,
        /** from its place on the wire to its middle, mm: a bead on two wires lies between them */
        public ?Vector $aside = null,
        /** how it lies along, where that is not as its wire runs: what is bound on without a hole */
        public ?Vector $ahead = null,
        /** where the face of what is flat looks */
        public Vector $face = new Vector(0.0, 0.0, 1.0),
    ) {
    }

    /** The same, beginning elsewhere on its stretch. */
    public function at(float $mm): self
    {
        return new self(
            $this->bead, $this->count, $this->mark, $this->isTurned, $this->held, $mm, $this->aside, $this->ahead,
            $this->face,
        );
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Wire\WireSize;

/** One size in the table of a wire role: does it pass every hole, by how much, and at which bead is it tightest? */
final readonly class WireRow
{
    public function __construct(
        public WireSize $size,
        public ?Bead $tightest,
        public ?float $marginMm,
        public bool $isChosen,
        public bool $isUsual,
    ) {
    }

    public function passes(): bool
    {
        return $this->marginMm === null || $this->marginMm >= -1e-6;
    }
}

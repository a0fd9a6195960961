<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;

/** How many of one bead: each piece, the whole making, and the spares laid out with them. */
final readonly class BeadCount
{
    public function __construct(
        public string $key,
        public Bead $bead,
        public int $each,
        public int $all,
        public int $spares,
    ) {
    }
}

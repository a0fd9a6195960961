<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;

/**
 * One thing to look at on a finished piece: what, what it should be, where it is mended, and, where it is measured, how
 * long it is meant to be.
 */
final readonly class Point
{
    public function __construct(
        public string $key,
        public string $look,
        public string $expect,
        /** which of the piece's steps mends it; null where none does */
        public ?int $step = null,
        /** mm; null where it is looked at, not measured */
        public ?float $wantedMm = null,
        /** the bead that is looked at; null where it is none, or any */
        public ?Bead $bead = null,
    ) {
    }
}

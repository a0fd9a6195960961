<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;

/** A bead as it stands on a wire: which, and how many in a row. */
final readonly class Strung
{
    public function __construct(public string $key, public Bead $bead, public int $count)
    {
    }

    public function lengthMm(): float
    {
        return $this->bead->lengthMm * $this->count;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;

/** A bead's hole and how many wires of one role go through it. */
final readonly class Hole
{
    /** @param  positive-int  $passes */
    public function __construct(public Bead $bead, public int $passes)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

/** Of a move that nothing can hang in. */
trait HoldsNothing
{
    public function insideMm(): ?float
    {
        return null;
    }
}

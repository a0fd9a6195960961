<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Bead\Bead;

/** A bead in the drawing, on the middle line, its upper end at topMm. */
final readonly class BeadMark
{
    public function __construct(public Bead $bead, public float $topMm, public string $mark)
    {
    }
}

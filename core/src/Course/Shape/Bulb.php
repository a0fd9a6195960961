<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/**
 * A loop that comes back to where it began and goes on beside its own beginning: what is turned back through a crimp.
 * Both its feet are kicked alike, sin θ = b/(R + b). What is over is hidden in the beads beyond, beside the wire itself,
 * and is not laid. Millimetres.
 */
final readonly class Bulb implements Shape
{
    /** @param  float  $neckMm  straight before it begins */
    public function __construct(
        private float $insideMm, private float $wireMm, private float $lengthMm, private float $neckMm,
    ) {
    }

    public function lengthMm(): float
    {
        return $this->lengthMm;
    }

    public function laid(Frame $from): array
    {
        $radius = ($this->insideMm + $this->wireMm) / 2;
        $kick = $this->wireMm / 2 + $this->wireMm ** 2 / (8 * $radius);
        $lean = asin($kick / ($radius + $kick));
        $foot = new Arc($kick, M_PI / 2 - $lean);
        $round = new Arc($radius, -(2 * M_PI - 2 * $lean));
        $neck = new Straight($this->neckMm);

        return (new Together($neck, $foot, $round, $foot, $neck))->laid($from);
    }
}

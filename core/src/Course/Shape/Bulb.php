<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;

/**
 * A loop that comes back to where it began and goes on beside its own beginning: what is turned back through a crimp.
 * Both its feet are kicked alike, sin θ = b/(R + b). What is over is hidden in the beads beyond, beside the wire
 * itself,
 * and is not laid. Millimetres.
 */
final readonly class Bulb implements Shape
{
    /** @param  float  $neckMm  straight before it begins */
    public function __construct(
        private float $insideMm, private float $wireMm, private float $lengthMm, private float $neckMm,
        /**
         * how far beside where it comes in it goes out: then it is as long as it is told, its feet taking what is left
         */
        private float $apartMm = 0.0,
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
        $lean = asin(($kick + $this->apartMm / 2) / ($radius + $kick));
        $foot = new Arc($kick, M_PI / 2 - $lean);
        $round = new Arc($radius, -(2 * M_PI - 2 * $lean));
        $bent = 2 * $foot->lengthMm() + $round->lengthMm();
        $neck = new Straight($this->apartMm > 0.0 ? max(0.0, $this->lengthMm - $bent) / 2 : $this->neckMm);

        return (new Together($neck, $foot, $round, $foot, $neck))->laid($from);
    }
}

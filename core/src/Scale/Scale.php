<?php

declare(strict_types=1);

namespace Hebra\Core\Scale;

/**
 * A bench scale: what it shows at a moment, which comes from outside. A real one and the simulated one look alike from
 * here.
 */
interface Scale
{
    /** @param  float  $seconds  since the load was put on */
    public function reading(float $seconds): Reading;
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Plan\PartPlan;

/** What is strung or linked: its wires hang in each other or run side by side, and none comes in another's way. */
trait LiesAsTold
{
    public function settled(PartPlan $part): array
    {
        return $this->courses($part);
    }
}

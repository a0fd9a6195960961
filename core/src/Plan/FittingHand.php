<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;

/** What a plan asks of a maker's hand: how long its cuts really are, and how far its bends open. */
interface FittingHand
{
    /** What a wire of that metal opens to, over what the rule of spring-back says. */
    public function spring(Metal $metal, Temper $temper): float;

    /** The cut as this hand needs it. */
    public function fitted(Cut $cut): Cut;
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Hebra\Core\Plan\Plan;

/** A command with the options `operations` and `parts`: the order in which the steps of a piece are told. */
trait OrdersSteps
{
    /** In the order that is asked for, else the usual one for so many parts. */
    protected function inOrder(Plan $plan): Plan
    {
        return $plan->inOperations(
            (bool) $this->option('operations') || (! $this->option('parts') && $plan->isManyAlike()),
        );
    }
}

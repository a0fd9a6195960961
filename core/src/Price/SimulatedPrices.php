<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Wire\Wire;

/**
 * The made-up prices of the table of metals, so that there is something to reckon with before a maker gives their own.
 * Not market data.
 */
final class SimulatedPrices implements MetalPrices
{
    public function perGramE4(Wire $wire, string $day): int
    {
        return $wire->metal->inventedPrice($day)['e4'];
    }

    public function source(Wire $wire, string $day): string
    {
        return "made-up table, as of {$wire->metal->inventedPrice($day)['from']}";
    }
}

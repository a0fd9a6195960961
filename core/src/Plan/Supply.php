<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Price\MetalPrices;
use Hebra\Core\Wire\Wire;

/** What is at hand and what it costs, by wire: millimetres held, cents a metre. Empty where nothing is booked. */
final readonly class Supply
{
    /** @param  array<string, float>  $heldMm  by Wire::key() */
    public function __construct(private array $heldMm = [], private ?MetalPrices $prices = null, private string $day = '')
    {
    }

    public function heldMm(Wire $wire): float
    {
        return $this->heldMm[$wire->key()] ?? 0.0;
    }

    /** From what a gram costs; null where no price is known. */
    public function centsPerMetre(Wire $wire): ?float
    {
        $perGramE4 = $this->prices?->perGramE4($wire, $this->day);

        return $perGramE4 === null ? null : $perGramE4 / 100 * $wire->gramsOf(1000);
    }
}

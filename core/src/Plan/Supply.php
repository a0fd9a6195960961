<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Wire;

/** What is at hand and what it cost, by wire: millimetres held, cents a metre. Empty where nothing is booked. */
final readonly class Supply
{
    /**
     * @param  array<string, float>  $heldMm  by Wire::key()
     * @param  array<string, float>  $centsPerMetre  by Wire::key()
     */
    public function __construct(private array $heldMm = [], private array $centsPerMetre = [])
    {
    }

    public function heldMm(Wire $wire): float
    {
        return $this->heldMm[$wire->key()] ?? 0.0;
    }

    public function centsPerMetre(Wire $wire): ?float
    {
        return $this->centsPerMetre[$wire->key()] ?? null;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Closure;
use Hebra\Core\Wire\Wire;

/** What is at hand and what it costs, by wire: millimetres held, cents a gram. Empty where nothing is booked. */
final readonly class Supply
{
    /**
     * @param  array<string, float>  $heldMm  by Wire::key()
     * @param  (Closure(Wire): ?float)|null  $centsPerGram
     */
    public function __construct(private array $heldMm = [], private ?Closure $centsPerGram = null)
    {
    }

    public function heldMm(Wire $wire): float
    {
        return $this->heldMm[$wire->key()] ?? 0.0;
    }

    /** Null where no price is known. */
    public function centsPerMetre(Wire $wire): ?float
    {
        $centsPerGram = $this->centsPerGram === null ? null : ($this->centsPerGram)($wire);

        return $centsPerGram === null ? null : $centsPerGram * $wire->gramsOf(1000);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Wire\Wire;

/** The maker's own prices, and another's where there is none. */
final readonly class OwnPrices implements MetalPrices
{
    /** @param  array<string, int>  $perGramE4  by metal */
    public function __construct(private array $perGramE4, private MetalPrices $otherwise)
    {
    }

    public function perGramE4(Wire $wire, string $day): ?int
    {
        return $this->perGramE4[$wire->metal->value] ?? $this->otherwise->perGramE4($wire, $day);
    }

    public function source(Wire $wire, string $day): string
    {
        return isset($this->perGramE4[$wire->metal->value]) ? 'your own price' : $this->otherwise->source($wire, $day);
    }
}

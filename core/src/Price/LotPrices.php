<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Wire\Wire;

/** What was paid for the lots in stock, by their wire; another's price where none of it is there. */
final readonly class LotPrices implements MetalPrices
{
    /** @param  array<string, int>  $perGramE4  by Wire::key() */
    public function __construct(private array $perGramE4, private MetalPrices $otherwise)
    {
    }

    public function perGramE4(Wire $wire, string $day): ?int
    {
        return $this->perGramE4[$wire->key()] ?? $this->otherwise->perGramE4($wire, $day);
    }

    public function source(Wire $wire, string $day): string
    {
        return isset($this->perGramE4[$wire->key()]) ? 'as you paid for it' : $this->otherwise->source($wire, $day);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Closure;
use Hebra\Core\Wire\Wire;

/** What was paid for the lots in stock, by their wire; another's price where none of it is there. */
final class LotPrices implements MetalPrices
{
    /** @var array<string, int>|null */
    private ?array $read = null;

    /** @param  Closure(): array<string, int>  $perGramE4  by Wire::key(); asked once, and only when a price is */
    public function __construct(private readonly Closure $perGramE4, private readonly MetalPrices $otherwise)
    {
    }

    private function paidE4(Wire $wire): ?int
    {
        $this->read ??= ($this->perGramE4)();

        return $this->read[$wire->key()] ?? null;
    }

    public function perGramE4(Wire $wire, string $day): ?int
    {
        return $this->paidE4($wire) ?? $this->otherwise->perGramE4($wire, $day);
    }

    public function source(Wire $wire, string $day): string
    {
        return $this->paidE4($wire) !== null ? 'as you paid for it' : $this->otherwise->source($wire, $day);
    }
}

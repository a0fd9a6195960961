<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Wire;

/**
 * The metal of one wire in the whole making: grams, and the millimetres behind them. Invariant: gross = net + scrap.
 */
final readonly class Metal
{
    public function __construct(
        public string $role,
        public Wire $wire,
        public float $grossMm,
        public float $netMm,
    ) {
    }

    public function grossGrams(): float
    {
        return $this->wire->gramsOf($this->grossMm);
    }

    public function netGrams(): float
    {
        return $this->wire->gramsOf($this->netMm);
    }

    /** @return array{gross: string, net: string, scrap: string} as a scale with two decimals shows them */
    public function shown(): array
    {
        [$gross, $net] = [(int) round(100 * $this->grossGrams()), (int) round(100 * $this->netGrams())];

        return array_map(
            fn (int $hundredths): string => number_format($hundredths / 100, 2, '.', '').' g',
            ['gross' => $gross, 'net' => $net, 'scrap' => $gross - $net],
        );
    }

    public function scrapGrams(): float
    {
        return $this->wire->gramsOf($this->grossMm - $this->netMm);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * Something a part takes as it is bought: what, how many for each made part, and what one weighs in grams. What is
 * bought by length and cut here says what it is called in stock and how many millimetres one takes.
 */
final readonly class ReadyMade
{
    public string $stock;

    public function __construct(
        public string $words, public int $count, public float $grams, ?string $stock = null,
        public float $takesMm = 0.0,
    ) {
        $this->stock = $stock ?? $words;
    }
}

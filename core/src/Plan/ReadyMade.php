<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Something a part takes as it is bought: what, how many for each made part, and what one weighs in grams. */
final readonly class ReadyMade
{
    public function __construct(public string $words, public int $count, public float $grams)
    {
    }
}

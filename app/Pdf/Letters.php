<?php

declare(strict_types=1);

namespace App\Pdf;

/** How a line of a label is set: as large, as dark, and in so many letters at most. */
final readonly class Letters
{
    public function __construct(public float $points, public bool $isBold, public int $most)
    {
    }
}

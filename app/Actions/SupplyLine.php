<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Bead;
use App\Models\Supply;

/** So many of a bead or a supply: more than nothing where they arrive, less where they leave. */
final readonly class SupplyLine
{
    public function __construct(public Bead|Supply $of, public int $amount, public string $words)
    {
    }
}

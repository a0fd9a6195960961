<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;
use Hebra\Core\Plan\Cut;

/** One kind of cut: how many are cut already, and the lot that the others come from, before and after them. */
final readonly class CutSource
{
    /** @param  float  $before  what the lot has for it, and what it takes of it: millimetres, or pins */
    public function __construct(
        public Cut $cut,
        public int $ticked,
        public ?Lot $lot,
        public float $before,
        public float $takes,
    ) {
    }

    public function after(): float
    {
        return $this->before - $this->takes;
    }

    /** Whether one lot has enough for all of them. */
    public function isCovered(): bool
    {
        return $this->lot !== null && $this->after() > -1e-6;
    }
}

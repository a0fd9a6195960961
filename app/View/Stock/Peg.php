<?php

declare(strict_types=1);

namespace App\View\Stock;

use App\Models\Lot;
use Hebra\Core\Plan\Profile;

/** A lot of wire where it hangs: how much of it is there, and how much of that is kept for pieces. */
final readonly class Peg
{
    public function __construct(
        public Lot $lot,
        public float $keptMm,
        /** whether of its wire, all lots together, less is left than the maker wants there to be */
        public bool $isLow,
        /** whether it is what the line looks for, or nothing is looked for */
        public bool $isFound,
        public bool $isOpen,
    ) {
    }

    public function drawing(): CoilDrawing
    {
        return CoilDrawing::of($this->lot, $this->keptMm);
    }

    public function temper(): string
    {
        return str_replace('dead ', '', $this->lot->wire()->temper->words());
    }

    public function label(Profile $profile): string
    {
        return "{$this->lot->name}: {$this->lot->wireWords()}, {$profile->length($this->lot->heldMm())}"
            .($this->isLow ? ', running low' : '')
            .($this->keptMm > 0 ? ", {$profile->length($this->keptMm)} of it kept" : '');
    }
}

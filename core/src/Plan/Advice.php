<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Why a cut is as long as it is: what was learned of a hand, beside what the sum alone says. Millimetres. */
final readonly class Advice
{
    /** @param  string  $words  `you use 4 % more than the sum: 12 makings` */
    public function __construct(
        private string $words,
        public float $plainMm,
        public float $cutMm,
        /** how likely the cut is long enough */
        public float $enough,
    ) {
    }

    public function words(): string
    {
        return $this->words;
    }
}

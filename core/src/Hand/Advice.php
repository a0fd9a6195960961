<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * How a cut was fitted to the maker's hand: what the plain sum says, what they use of it, and what is cut instead.
 * Millimetres.
 */
final readonly class Advice
{
    public function __construct(
        public Work $work,
        public Learned $learned,
        public float $plainMm,
        public float $cutMm,
        /** how likely the cut is long enough */
        public float $enough,
    ) {
    }

    /** `you use 4 % more than the sum: 12 makings` */
    public function words(): string
    {
        $percent = (int) round(100 * ($this->learned->mean - 1));
        $makings = $this->learned->count === 1 ? '1 making' : "{$this->learned->count} makings";

        return ($percent === 0 ? 'you use what the sum says' : 'you use '.abs($percent).' % '.($percent > 0 ? 'more' : 'less').' than the sum')
            .': '.$makings;
    }
}

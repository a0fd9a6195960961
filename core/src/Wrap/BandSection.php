<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * A stretch of a woven band: how it is woven, where it begins, how long it is and what wire it takes, mm, and the cores
 * there.
 */
final readonly class BandSection
{
    /**
     * @param  int  $cross  where two cores cross instead: the place of the first
     * @param  list<int>  $places  which core stands at each place when it begins
     * @param  list<int>  $takes  cores that it holds
     */
    public function __construct(
        public WeavePattern|BasketWeave|null $weave,
        public int $cross,
        public string $text,
        public int $repeats,
        public float $fromMm,
        public float $lengthMm,
        public float $wireMm,
        public array $places,
        public array $takes,
    ) {
    }

    public function toMm(): float
    {
        return $this->fromMm + $this->lengthMm;
    }
}

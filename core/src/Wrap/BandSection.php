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
     * @param  Crossing|null  $crossing  where cores cross instead
     * @param  list<int>  $places  which core stands at each place when it begins
     * @param  list<int>  $takes  cores that it holds
     */
    public function __construct(
        public WeavePattern|BasketWeave|null $weave,
        public ?Crossing $crossing,
        public string $text,
        public int $repeats,
        public float $fromMm,
        public float $lengthMm,
        public float $wireMm,
        public array $places,
        public array $takes,
    ) {
    }

    /** Whether a core goes over the others here. */
    public function isOver(int $core): bool
    {
        return in_array($core, $this->crossing?->overAndUnder($this->takes)[0] ?? [], true);
    }

    public function toMm(): float
    {
        return $this->fromMm + $this->lengthMm;
    }
}

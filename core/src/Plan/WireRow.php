<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Wire\Wire;

/**
 * One wire weighed up for a role. Ratios are against the role's usual size in half-hard copper: `springs` E·I, `holds`
 * πr³Y/4 with the temper after making, `effort` (4/3)r³Y with the temper before. Forces in newtons, masses in grams.
 */
final readonly class WireRow
{
    public function __construct(
        public Wire $wire,
        public bool $fits,
        /** One plain sentence why, or why not. */
        public string $why,
        public float $penalty,
        public float $springs,
        public float $holds,
        public float $effort,
        public ?float $marginMm,
        /** Null where nothing openable carries a load. */
        public ?float $opensN,
        public float $grams,
        public ?float $cents,
        public float $heldMm,
        public bool $isChosen,
        public bool $isUsual,
        public WireSaid $said,
        /** 1 for the best that fits; 0 for what does not. */
        public int $rank = 0,
    ) {
    }

    public function ranked(int $rank): self
    {
        return new self(
            $this->wire, $this->fits, $this->why, $this->penalty, $this->springs, $this->holds, $this->effort,
            $this->marginMm, $this->opensN, $this->grams, $this->cents, $this->heldMm, $this->isChosen,
            $this->isUsual, $this->said, $rank,
        );
    }
}

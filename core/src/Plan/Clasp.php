<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Quantity\Figures;

/**
 * What a clasp asks of the ring that it closes in: room for what goes through it, and, for a bar, that it cannot slip
 * back. Millimetres. Common practice: a bar is at least a third longer than its ring is wide inside.
 */
final readonly class Clasp
{
    private const BAR = 1.35;

    public function __construct(
        public string $words,
        /** what has to go through the ring */
        public float $throughMm,
        /** the widest ring wire that it can hold; 0 where that does not matter */
        public float $holdsMm = 0.0,
        /** the bar that lies across the ring; 0 for a hook */
        public float $barMm = 0.0,
    ) {
    }

    /** @return array{Level, string} how it goes with an eye */
    public function with(Eye $ring, Profile $profile): array
    {
        $inside = $profile->size($ring->insideMm);

        return match (true) {
            $ring->insideMm < $this->throughMm => [
                Level::Stop,
                "The {$this->words} does not pass the {$ring->words}: {$profile->size($this->throughMm)} has to go "
                    ."through {$inside}.",
            ],
            $this->holdsMm > 0 && $ring->wireMm > $this->holdsMm => [
                Level::Stop,
                "The {$this->words} is too narrow for the {$ring->words}: {$profile->size($ring->wireMm)} wire in a "
                    ."bend of {$profile->size($this->holdsMm)}.",
            ],
            $this->barMm > 0 && $this->barMm < self::BAR * $ring->insideMm => [
                Level::Warn,
                "The bar of {$profile->size($this->barMm)} can slip out of the {$ring->words}, {$inside} inside: a "
                    .'bar of '
                    .$profile->size(ceil(self::BAR * $ring->insideMm)).' stays, '
                    .Figures::trim((self::BAR - 1) * 100, 0).' % longer than the ring is wide.',
            ],
            default => [Level::Ok, "The {$this->words} passes the {$ring->words}, {$inside} inside, and holds."],
        };
    }
}

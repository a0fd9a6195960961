<?php

declare(strict_types=1);

namespace App\View;

/**
 * The one way in which coils are drawn: a spiral of half circles from its innermost turn out. Equal lengths of wire
 * cover equal areas, so its radius grows by the root of its share. Pixels.
 */
final readonly class CoilTurns
{
    public function __construct(private float $middle, private float $inner, private float $outer, private float $pitch)
    {
    }

    /** How many half turns a share of what there was is wound, 0 to 1. */
    public function halves(float $share): int
    {
        $area = max(0.0, min(1.0, $share)) * ($this->outer ** 2 - $this->inner ** 2);

        return (int) round(2 * (sqrt($this->inner ** 2 + $area) - $this->inner) / $this->pitch);
    }

    /** From one half turn to another; empty where there is none. */
    public function path(int $from, int $to): string
    {
        if ($to <= $from) {
            return '';
        }
        $radius = fn (int $half): float => $this->inner + $this->pitch * ($half + 1) / 2;
        $y = fn (int $half): float => $this->middle + ($half % 2 === 0 ? -1 : 1) * $radius($half);
        $path = "M{$this->middle} ".round($y($from), 1);
        for ($half = $from; $half < $to; $half++) {
            $wide = round(($radius($half) + $radius($half + 1)) / 2, 1);
            $path .= "A{$wide} {$wide} 0 0 1 {$this->middle} ".round($y($half + 1), 1);
        }

        return $path;
    }
}

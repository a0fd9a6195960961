<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\Plan;

/** A piece as it hangs, drawn as large as its room allows: once, or twice where it is a pair. */
final readonly class HungPiece
{
    private function __construct(public Drawing $drawing, public int $times)
    {
    }

    /** How often it hangs there: a pair twice. */
    public static function times(Plan $plan): int
    {
        $isPair = $plan->piece->makes->count === 2 && $plan->piece->makes->sold() === 1;

        return $isPair && ! $plan->isLaidRound() ? 2 : 1;
    }

    /** @param  array{float, float, float}  $room  how wide and high at most, in pixels, and at which ratio */
    public static function in(array $room, Plan $plan, string $name): self
    {
        [$wide, $high, $most] = $room;
        $assembly = $plan->assembly();
        $times = self::times($plan);
        $ratio = min(
            $most, $high / max(1e-9, $assembly->heightMm() * Drawing::PX_PER_MM),
            $wide / $times / max(1e-9, $assembly->widthMm() * Drawing::PX_PER_MM),
        );

        return new self(new Drawing($assembly, dimension: 0, room: 2, name: $name, ratioGiven: $ratio), $times);
    }
}

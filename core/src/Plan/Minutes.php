<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * How long a piece takes at the bench, about, until the maker's own log says better: each step half a minute to a
 * minute and a half by what it is, and each thing counted in it some seconds [memory].
 */
final class Minutes
{
    private const STEP = [
        'form' => 0.8,
        'close' => 0.7,
        'thread' => 0.4,
        'hook' => 0.4,
        'work' => 1.5,
        'cut' => 0.5,
        'ready' => 3.0,
        'rings' => 2.0,
        'inspect' => 1.0,
    ];

    /** For each thing counted: a bead, a wrap, a turn, a repeat, a piece cut. */
    private const COUNTED = [
        'beads' => 0.06,
        'wraps' => 0.08,
        'turns' => 0.05,
        'repeats' => 0.35,
        'pieces' => 0.2,
        'links' => 0.03,
        'rings' => 0.12,
    ];

    private const OTHERWISE = 0.3;

    public static function of(Plan $plan): float
    {
        return array_sum(self::byKind($plan));
    }

    /** @return array<string, float> minutes of the whole making, by the kind of step */
    public static function byKind(Plan $plan): array
    {
        $minutes = [];
        foreach ([[$plan->prepare(), 1], [$plan->steps(), $plan->piece->makes->count]] as [$steps, $times]) {
            foreach ($steps as $step) {
                $kind = self::kind($step);
                $minutes[$kind] = ($minutes[$kind] ?? 0.0) + $times * self::step($step);
            }
        }

        return $minutes;
    }

    /** What kind of step it is, for what is learned of time. */
    public static function kind(Step $step): string
    {
        return $step->moment->kind->value;
    }

    public static function step(Step $step): float
    {
        if ($step->each !== null) {
            return $step->count * self::step($step->each);
        }

        return self::STEP[self::kind($step)] + $step->count * (self::COUNTED[$step->counted] ?? self::OTHERWISE);
    }
}

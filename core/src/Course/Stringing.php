<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** Runs of beads in the order in which they are pushed on a wire, and how that is said: what repeats is said once. */
final class Stringing
{
    /** Fewer runs than this are said one after the other. */
    private const MANY = 4;

    /**
     * @param  list<Strung>  $runs
     * @return list<Strung> the same with equal neighbours together
     */
    public static function joined(array $runs): array
    {
        $joined = [];
        foreach ($runs as $run) {
            $last = $joined === [] ? null : $joined[count($joined) - 1];
            if ($last !== null && $last->key === $run->key) {
                $joined[count($joined) - 1] = $last->times($last->count + $run->count);
            } elseif ($run->count > 0) {
                $joined[] = $run;
            }
        }

        return $joined;
    }

    /** @param  list<Strung>  $runs */
    public static function count(array $runs): int
    {
        return array_sum(array_map(fn (Strung $run): int => $run->count, $runs));
    }

    /** @param  list<Strung>  $runs */
    public static function lengthMm(array $runs): float
    {
        return array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $runs));
    }

    /**
     * `8 × moss, then 2 × foam`; `9 times over: 4 × moss, 1 × foam; then 4 × moss` where they repeat.
     *
     * @param  list<Strung>  $runs
     */
    public static function words(array $runs): string
    {
        [$length, $times] = self::unit($runs);
        if ($times === 1) {
            return implode(', then ', array_map(fn (Strung $run): string => $run->words(), $runs));
        }
        $unit = implode(', ', array_map(fn (Strung $run): string => $run->words(), array_slice($runs, 0, $length)));
        $rest = array_slice($runs, $length * $times);

        return "{$times} times over: {$unit}".($rest === [] ? '' : '; then '.self::words($rest));
    }

    /**
     * How many runs repeat from the first on, and how often, so that least has to be said.
     *
     * @param  list<Strung>  $runs
     * @return array{positive-int, positive-int}
     */
    public static function unit(array $runs): array
    {
        $names = array_map(fn (Strung $run): string => $run->key.'/'.$run->count, $runs);
        $count = count($names);
        [$best, $said] = [[1, 1], $count];
        for ($length = 1; $count >= self::MANY && $length <= intdiv($count, 2); $length++) {
            $times = 1;
            while (array_slice($names, $times * $length, $length) === array_slice($names, 0, $length)) {
                $times++;
            }
            $left = $length + $count - $times * $length;
            if ($times > 1 && $left < $said) {
                [$best, $said] = [[$length, $times], $left];
            }
        }

        return $best;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Weave;

/**
 * A weave to scale: cores lie across the page, the weave grows to the right. Seen from the front, or from the back,
 * turned over about its length. What was woven last can be lit. Kinds: `core`, `wrap`, `under` (behind the cores),
 * `lit`.
 */
final class Woven
{
    private const BEYOND_MM = 3.0;

    /** The first turns of a figure weave, counted over repeats; those from $litFrom on are lit. */
    public static function figure(
        Weave $weave, int $turns, bool $isFront = true, int $litFrom = PHP_INT_MAX, string $words = 'the weave',
    ): Diagram {
        [$w, $s] = [$weave->wireMm, $weave->spacingMm];
        $half = ($weave->coreMm + $w) / 2;
        $far = ($weave->pattern->cores - 1) * $s;
        $drawn = self::cores(new Diagram($words), $weave->pattern->cores, $weave->coreMm, $s, $turns * $w);
        $turn = 0;
        while ($turn < $turns) {
            foreach ($weave->pattern->figures as $figure) {
                for ($one = 0; $one < $figure['turns'] && $turn < $turns; $one++, $turn++) {
                    [$upper, $lower] = [($figure['from'] - 1) * $s - $half, ($figure['to'] - 1) * $s + $half];
                    $x = $turn * $w;
                    // In front down from the upper edge, behind back up to it, a wire farther on.
                    $points = $isFront
                        ? [[$x + 0.25 * $w, $upper], [$x + 0.75 * $w, $lower]]
                        : [[$x + 0.75 * $w, $far - $lower], [$x + 1.25 * $w, $far - $upper]];
                    $drawn->line($turn >= $litFrom ? 'lit' : 'wrap', $points, $w);
                }
            }
        }

        return $drawn;
    }

    /** The first passes of a basket weave, counted over repeats; those from $litFrom on are lit. */
    public static function basket(
        BasketWeave $weave, float $coreMm, float $wireMm, float $spacingMm, int $passes, bool $isFront = true,
        int $litFrom = PHP_INT_MAX, string $words = 'the weave',
    ): Diagram {
        $count = count($weave->touches);
        $step = $weave->climbMm($wireMm) / $count;
        $half = ($coreMm + $wireMm) / 2;
        $far = ($weave->cores - 1) * $spacingMm;
        $under = $over = [];
        for ($pass = 0; $pass < $passes; $pass++) {
            [$before, $here, $next] = [
                $weave->touches[($pass + $count - 1) % $count], $weave->touches[$pass % $count],
                $weave->touches[($pass + 1) % $count],
            ];
            $side = fn (int $other): int => $other <=> $here['core'];
            $out = $side($next['core']) !== 0 ? $side($next['core']) * $spacingMm / 2 : null;
            $in = $side($before['core']) !== 0 ? $side($before['core']) * $spacingMm / 2 : null;
            $outwards = $in ?? $out ?? $half;
            // It turns round the edge of a core that it does not leave.
            $in ??= ($out ?? $half) > 0 ? -$half : $half;
            $out ??= $outwards > 0 ? -$half : $half;
            $y = ($here['core'] - 1) * $spacingMm;
            [$from, $to] = [$y + $in, $y + $out];
            if (! $isFront) {
                [$from, $to] = [$far - $from, $far - $to];
            }
            $line = [$pass >= $litFrom ? 'lit' : 'wrap', [[$pass * $step, $from], [($pass + 1) * $step, $to]]];
            if ($here['isFront'] === $isFront) {
                $over[] = $line;
            } else {
                $under[] = [$line[0] === 'lit' ? 'lit' : 'under', $line[1]];
            }
        }
        $drawn = new Diagram($words);
        foreach ($under as [$kind, $points]) {
            $drawn->line($kind, $points, $wireMm);
        }
        self::cores($drawn, $weave->cores, $coreMm, $spacingMm, $passes * $step);
        foreach ($over as [$kind, $points]) {
            $drawn->line($kind, $points, $wireMm);
        }

        return $drawn;
    }

    private static function cores(Diagram $drawn, int $cores, float $coreMm, float $spacingMm, float $lengthMm): Diagram
    {
        for ($core = 0; $core < $cores; $core++) {
            $drawn->line(
                'core',
                [[-self::BEYOND_MM, $core * $spacingMm], [$lengthMm + self::BEYOND_MM, $core * $spacingMm]],
                $coreMm,
            );
        }

        return $drawn;
    }
}

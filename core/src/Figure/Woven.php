<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wrap\BasketWeave;
use Hebra\Core\Wrap\Weave;

/**
 * A weave to scale: cores lie across the page, the weave grows to the right. Seen from the front, or from the back,
 * turned over about its length, its cores numbered. What was woven last can be lit. Kinds: `core`, `wrap`, `under`
 * (behind the cores), `lit`, `mark` (where a repeat begins and ends).
 */
final class Woven
{
    private const BEYOND_MM = 3.0;

    /** How far below its bracket a repeat is counted. */
    private const BELOW_MM = 0.6;

    /** The first turns of a figure weave, counted over repeats; those from $litFrom on are lit. */
    public static function figure(
        Weave $weave, int $turns, bool $isFront = true, int $litFrom = PHP_INT_MAX, string $words = 'the weave',
    ): Diagram {
        [$w, $s] = [$weave->wireMm, $weave->spacingMm];
        $half = ($weave->coreMm + $w) / 2;
        $far = ($weave->pattern->cores - 1) * $s;
        $drawn = new Diagram($words);
        self::cores($drawn, $weave->pattern->cores, $weave->coreMm, $isFront ? $s : -$s, $turns * $w);
        if ($isFront) {
            self::repeats($drawn, $weave, $turns * $w);
        }
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
        self::cores($drawn, $weave->cores, $coreMm, $isFront ? $spacingMm : -$spacingMm, $passes * $step);
        foreach ($over as [$kind, $points]) {
            $drawn->line($kind, $points, $wireMm);
        }

        return $drawn;
    }

    /** @param  float  $spacingMm  of the first core to the second; negative where the last lies above */
    private static function cores(
        Diagram $drawn, int $cores, float $coreMm, float $spacingMm, float $lengthMm,
    ): void {
        $top = $spacingMm < 0 ? ($cores - 1) * -$spacingMm : 0.0;
        for ($core = 0; $core < $cores; $core++) {
            $y = $top + $core * $spacingMm;
            $drawn->line('core', [[-self::BEYOND_MM, $y], [$lengthMm + self::BEYOND_MM, $y]], $coreMm);
            $drawn->label((string) ($core + 1), -self::BEYOND_MM / 2, $y);
        }
    }

    /** Below the cores, each repeat from where it begins to where it ends, counted. */
    private static function repeats(Diagram $drawn, Weave $weave, float $lengthMm): void
    {
        $repeatMm = $weave->pattern->turns() * $weave->wireMm;
        $y = ($weave->pattern->cores - 1) * $weave->spacingMm + 1.5 * $weave->coreMm + $weave->wireMm / 2;
        for ($repeat = 0; $repeat * $repeatMm < $lengthMm - 1e-9; $repeat++) {
            [$from, $to] = [$repeat * $repeatMm, min($lengthMm, ($repeat + 1) * $repeatMm)];
            $drawn->line('mark', [[$from + 0.1 * $repeatMm, $y], [$to - min(0.1 * $repeatMm, $to - $from), $y]], 0.0);
            $drawn->note((string) ($repeat + 1), ($from + $to) / 2, $y + self::BELOW_MM);
        }
    }
}

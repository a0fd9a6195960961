<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** The largest round that is free within a piece that goes round: where a wrist or a finger is. Millimetres. */
final readonly class Clearing
{
    private const MOST_POINTS = 160;

    private const FINE_MM = 0.1;

    private const WAYS = 8;

    /** On a cubic curve, by its parameter. */
    private const ON_A_CURVE = [0.25, 0.5, 0.75, 1.0];

    private function __construct(public float $xMm, public float $yMm, public float $radiusMm)
    {
    }

    /** Found by steps from the middle that grow shorter; null where nothing is drawn. */
    public static function in(PieceFigure $figure): ?self
    {
        $points = self::points($figure);
        if ($points === []) {
            return null;
        }
        [$left, $top, $right, $bottom] = $figure->bounds();
        [$x, $y] = [($left + $right) / 2, ($top + $bottom) / 2];
        $free = self::free($points, $x, $y);
        for ($step = ($right - $left) / 8; $step > self::FINE_MM;) {
            [$nextX, $nextY, $next] = [$x, $y, $free];
            for ($way = 0; $way < self::WAYS; $way++) {
                [$tryX, $tryY] = [
                    $x + $step * cos(2 * M_PI * $way / self::WAYS), $y + $step * sin(2 * M_PI * $way / self::WAYS),
                ];
                // Beside the piece all is free.
                $isWithin = $tryX > $left && $tryX < $right && $tryY > $top && $tryY < $bottom;
                $try = $isWithin ? self::free($points, $tryX, $tryY) : 0.0;
                if ($try > $next + 1e-9) {
                    [$nextX, $nextY, $next] = [$tryX, $tryY, $try];
                }
            }
            $step = $next > $free ? $step : $step / 2;
            [$x, $y, $free] = [$nextX, $nextY, $next];
        }

        return new self($x, $y, max(0.0, $free));
    }

    /** @param  list<array{float, float, float}>  $points */
    private static function free(array $points, float $x, float $y): float
    {
        $free = INF;
        foreach ($points as [$atX, $atY, $half]) {
            $free = min($free, hypot($atX - $x, $atY - $y) - $half);
        }

        return $free;
    }

    /** @return list<array{float, float, float}> on wires and of beads: where, and half how thick */
    private static function points(PieceFigure $figure): array
    {
        $commands = array_sum(array_map(fn (Stroke $stroke): int => count($stroke->path), $figure->strokes));
        $every = max(1, intdiv($commands * count(self::ON_A_CURVE), self::MOST_POINTS));
        $points = [];
        $number = 0;
        foreach ($figure->strokes as $stroke) {
            $last = [0.0, 0.0];
            foreach ($stroke->path as $command) {
                foreach ($number++ % $every === 0 ? self::ON_A_CURVE : [] as $at) {
                    $points[] = [...self::on($command, $last, $at), $stroke->wireMm / 2];
                }
                $last = $command[0] === 'C'
                    ? [(float) ($command[5] ?? 0.0), (float) ($command[6] ?? 0.0)]
                    : [(float) $command[1], (float) $command[2]];
            }
        }
        foreach ($figure->beads as $bead) {
            $points[] = [$bead->xMm, $bead->topMm + $bead->bead->lengthMm / 2, $bead->bead->widthMm / 2];
        }

        return $points;
    }

    /**
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $command
     * @param  array{float, float}  $from
     * @return array{float, float}
     */
    private static function on(array $command, array $from, float $at): array
    {
        $told = array_map(floatval(...), array_slice($command, 1));
        if ($command[0] !== 'C') {
            return [$told[0], $told[1]];
        }
        $of = fn (int $axis): float => (1 - $at) ** 3 * $from[$axis] + 3 * (1 - $at) ** 2 * $at * $told[$axis]
            + 3 * (1 - $at) * $at ** 2 * $told[2 + $axis] + $at ** 3 * $told[4 + $axis];

        return [$of(0), $of(1)];
    }
}

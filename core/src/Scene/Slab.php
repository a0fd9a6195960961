<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Closure;
use Hebra\Core\Course\Vector;
use Hebra\Core\Plate\Hole;
use Hebra\Core\Plate\Plate;

/**
 * A flat part as a solid: its face and its back by clipping ears [G. H. Meisters, 1975], holes cut in, and its edges.
 */
final class Slab
{
    private const ROUND = 16;

    /** @param  Closure(Vector): Vector  $placed */
    public static function of(Plate $plate, Closure $placed): Mesh
    {
        $mesh = new Mesh;
        $half = $plate->thickMm / 2;
        $edges = [self::clockwise($plate->outline), ...array_map(
            fn (array $hole): array => array_reverse(self::clockwise($hole)), self::openings($plate),
        )];
        $face = self::bridged($edges);
        $triangles = self::ears($face);
        foreach ([$half, -$half] as $z) {
            $at = [];
            $out = $placed(new Vector(0.0, 0.0, $z))->minus($placed(new Vector(0.0, 0.0)))->unit();
            foreach ($face as [$x, $y]) {
                $at[] = $mesh->corner($placed(new Vector($x, $y, $z)), $out);
            }
            foreach ($triangles as [$one, $two, $three]) {
                $z > 0
                    ? $mesh->triangle($at[$one], $at[$two], $at[$three])
                    : $mesh->triangle($at[$one], $at[$three], $at[$two]);
            }
        }
        foreach ($edges as $points) {
            self::edge($mesh, $points, $half, $placed);
        }

        return $mesh;
    }

    /** @return list<non-empty-list<array{float, float}>> */
    private static function openings(Plate $plate): array
    {
        $openings = array_map(
            fn (Hole $hole): array => array_map(fn (int $step): array => [
                $hole->xMm + $hole->insideMm / 2 * cos(2 * M_PI * $step / self::ROUND),
                $hole->yMm + $hole->insideMm / 2 * sin(2 * M_PI * $step / self::ROUND),
            ], range(0, self::ROUND - 1)),
            array_filter($plate->holes, fn (Hole $hole): bool => ! $hole->isRing && $plate->edgeMm($hole) > 0),
        );
        $opening = $plate->opening();

        return $opening === [] ? array_values($openings) : [$opening];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<array{float, float}>
     */
    private static function clockwise(array $points): array
    {
        $twice = 0.0;
        foreach ($points as $place => [$x, $y]) {
            [$nextX, $nextY] = $points[($place + 1) % count($points)];
            $twice += $x * $nextY - $nextX * $y;
        }

        return $twice >= 0 ? $points : array_reverse($points);
    }

    /**
     * One line round outline and holes, each hole reached over a bridge to what is nearest.
     *
     * @param  non-empty-list<non-empty-list<array{float, float}>>  $edges
     * @return non-empty-list<array{float, float}>
     */
    private static function bridged(array $edges): array
    {
        $line = $edges[0];
        foreach (array_slice($edges, 1) as $hole) {
            [$best, $from, $to] = [INF, 0, 0];
            foreach ($line as $at => [$x, $y]) {
                foreach ($hole as $place => [$holeX, $holeY]) {
                    $far = hypot($x - $holeX, $y - $holeY);
                    if ($far < $best) {
                        [$best, $from, $to] = [$far, $at, $place];
                    }
                }
            }
            $round = [...array_slice($hole, $to), ...array_slice($hole, 0, $to + 1)];
            array_splice($line, $from + 1, 0, [...$round, $line[$from]]);
        }

        return $line;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return list<array{int, int, int}>
     */
    private static function ears(array $points): array
    {
        $left = array_keys($points);
        $triangles = [];
        while (count($left) > 2) {
            $found = self::ear($points, $left);
            $count = count($left);
            $triangles[] = [$left[($found + $count - 1) % $count], $left[$found], $left[($found + 1) % $count]];
            array_splice($left, $found, 1);
        }

        return $triangles;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  list<int>  $left
     */
    private static function ear(array $points, array $left): int
    {
        $count = count($left);
        foreach (array_keys($left) as $at) {
            $before = $left[($at + $count - 1) % $count];
            $after = $left[($at + 1) % $count];
            [$a, $b, $c] = [$points[$before], $points[$left[$at]], $points[$after]];
            if (self::side($a, $b, $c) <= 1e-12) {
                continue;
            }
            $isFree = true;
            foreach ($left as $other) {
                $p = $points[$other];
                if (! in_array($p, [$a, $b, $c], true) && self::isWithin($p, $a, $b, $c)) {
                    $isFree = false;

                    break;
                }
            }
            if ($isFree) {
                return $at;
            }
        }

        // What is left has no width.
        return 0;
    }

    /**
     * @param  array{float, float}  $p
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function isWithin(array $p, array $a, array $b, array $c): bool
    {
        return self::side($a, $b, $p) >= 0 && self::side($b, $c, $p) >= 0 && self::side($c, $a, $p) >= 0;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function side(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  Closure(Vector): Vector  $placed
     */
    private static function edge(Mesh $mesh, array $points, float $half, Closure $placed): void
    {
        foreach ($points as $place => [$x, $y]) {
            [$nextX, $nextY] = $points[($place + 1) % count($points)];
            $long = max(1e-9, hypot($nextX - $x, $nextY - $y));
            $away = new Vector(($nextY - $y) / $long, ($x - $nextX) / $long);
            $out = $placed($away)->minus($placed(new Vector(0.0, 0.0)))->unit();
            $corners = array_map(
                fn (array $at): int => $mesh->corner($placed(new Vector(...$at)), $out),
                [[$x, $y, $half], [$nextX, $nextY, $half], [$nextX, $nextY, -$half], [$x, $y, -$half]],
            );
            $mesh->triangle($corners[0], $corners[2], $corners[1]);
            $mesh->triangle($corners[0], $corners[3], $corners[2]);
        }
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/**
 * The smallest circle round wires of given diameters lying side by side.
 *
 * Equal wires, up to eight: the ratios of [published: Graham, Lubachevsky, Nurmela, Östergård 1998, Dense packings of
 * congruent circles in a circle, Discrete Mathematics 181]. Two wires: the sum. Three: the circle of Descartes' theorem
 * where all three touch it, else the two thickest. Otherwise solved: from fixed starting layouts the circle is shrunk
 * by bisection while the wires can still be pushed apart (least squares of their overlaps); the best start counts.
 */
final class WirePacking
{
    public const MOST_WIRES = 19;

    private const GOLDEN_ANGLE = 2.399963229728653;

    /** @param  non-empty-list<float>  $diametersMm each > 0 */
    public static function neededMm(array $diametersMm): float
    {
        rsort($diametersMm);
        $count = count($diametersMm);
        $equal = $diametersMm[0] - $diametersMm[$count - 1] < 1e-9;
        if ($equal && $count <= 8) {
            return self::equalRatio($count) * $diametersMm[0];
        }
        if ($count === 2) {
            return $diametersMm[0] + $diametersMm[1];
        }
        $radii = array_map(fn (float $d): float => $d / 2, $diametersMm);

        return 2 * ($count === 3 ? self::three($radii[0], $radii[1], $radii[2]) : self::solved($radii));
    }

    /** The ratio for n equal wires, n = 1…8, in closed form. */
    private static function equalRatio(int $count): float
    {
        return match (true) {
            $count === 1 => 1.0,
            $count <= 6 && $count !== 2 && $count !== 6 => 1 + 1 / sin(M_PI / $count),
            $count === 2 => 2.0,
            $count <= 7 => 3.0,
            default => 1 + 1 / sin(M_PI / 7),
        };
    }

    /** Radii, thickest first. Outer circle of three touching circles: 1/R = −(k1 + k2 + k3) + 2√(k1k2 + k2k3 + k3k1), negative when it encloses. */
    private static function three(float $a, float $b, float $c): float
    {
        // The third lies in the gap beside the two thickest when it is no thicker than the circle that just fills it.
        $gap = 1 / (1 / $a + 1 / $b - 1 / ($a + $b));
        if ($c <= $gap) {
            return $a + $b;
        }
        [$k1, $k2, $k3] = [1 / $a, 1 / $b, 1 / $c];

        return 1 / (2 * sqrt($k1 * $k2 + $k2 * $k3 + $k3 * $k1) - $k1 - $k2 - $k3);
    }

    /** @param  non-empty-list<float>  $radii thickest first */
    private static function solved(array $radii): float
    {
        $least = max($radii[0] + $radii[1], sqrt(array_sum(array_map(fn (float $r): float => $r * $r, $radii))));
        $best = array_sum($radii);
        foreach (self::starts($radii) as $places) {
            // Where the two thickest fill the circle on their own, they cannot move: only the others are pushed.
            $places[0] = $radii[1];
            $places[1] = $places[3] = 0.0;
            $places[2] = -$radii[0];
            if (self::pushedApart($radii, array_values($places), $radii[0] + $radii[1], 2) !== null) {
                return $radii[0] + $radii[1];
            }
        }
        foreach (self::starts($radii) as $places) {
            $best = min($best, self::shrunk($radii, $places, $least, $best));
        }

        return $best;
    }

    /**
     * Fixed layouts: thickest inside, thickest outside, and rings turned against each other.
     *
     * @param  non-empty-list<float>  $radii
     * @return list<list<float>> x and y in turn
     */
    private static function starts(array $radii): array
    {
        $count = count($radii);
        $spread = sqrt(array_sum(array_map(fn (float $r): float => $r * $r, $radii)));
        $starts = [];
        foreach ([1, 2, 3, 5, 7, 11] as $stride) {
            foreach ([0.0, 0.5] as $middle) {
                $places = [];
                foreach (array_keys($radii) as $i) {
                    $turn = ($i * $stride) % max(1, $count);
                    $out = $spread * ($middle > 0 ? sqrt(($turn + $middle) / $count) : 0.8);
                    $angle = $middle > 0 ? $turn * self::GOLDEN_ANGLE : 2 * M_PI * $turn / $count;
                    // A hair of asymmetry, so that no layout is stuck on its own mirror line.
                    $places[] = $out * cos($angle + 0.01 * $i);
                    $places[] = $out * sin($angle + 0.013 * $i);
                }
                $starts[] = $places;
            }
        }

        return $starts;
    }

    /**
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     */
    private static function shrunk(array $radii, array $places, float $low, float $high): float
    {
        $settled = self::pushedApart($radii, $places, $high);
        if ($settled === null) {
            return INF;
        }
        while ($high - $low > 1e-8 * $high) {
            $middle = ($low + $high) / 2;
            $next = self::pushedApart($radii, $settled, $middle);
            if ($next === null) {
                $low = $middle;
            } else {
                $high = $middle;
                $settled = $next;
            }
        }

        return $high;
    }

    /**
     * Moves overlapping circles apart inside a circle of radius R until nothing overlaps; null if they will not.
     * Levenberg–Marquardt on the overlaps; cost O(n³) a round, at most 60 rounds. The first $held circles stay put.
     *
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     * @return list<float>|null
     */
    private static function pushedApart(array $radii, array $places, float $within, int $held = 0): ?array
    {
        $damping = 1e-3;
        [$energy, $rows] = self::overlaps($radii, $places, $within, $held);
        for ($round = 0; $round < 60; $round++) {
            if ($energy < 1e-20 * $within * $within) {
                return $places;
            }
            $moved = self::step($rows, $places, $damping);
            [$after, $rowsAfter] = self::overlaps($radii, $moved, $within, $held);
            if ($after < $energy) {
                $slow = $energy - $after < 1e-4 * $energy;
                [$places, $energy, $rows] = [$moved, $after, $rowsAfter];
                $damping = max(1e-9, $damping / 5);
                if ($slow && $round > 20) {
                    return null;
                }
            } else {
                $damping *= 10;
                if ($damping > 1e6) {
                    return null;
                }
            }
        }

        return null;
    }

    /**
     * Each overlap with its slope against the coordinates it depends on.
     *
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     * @return array{float, list<array{float, array<int, float>}>}
     */
    private static function overlaps(array $radii, array $places, float $within, int $held): array
    {
        $rows = [];
        $energy = 0.0;
        foreach ($radii as $i => $radius) {
            [$x, $y] = [$places[2 * $i], $places[2 * $i + 1]];
            $out = hypot($x, $y);
            $over = $out + $radius - $within;
            if ($i >= $held && $over > 0 && $out > 0) {
                $rows[] = [$over, [2 * $i => $x / $out, 2 * $i + 1 => $y / $out]];
                $energy += $over * $over;
            }
            for ($j = $i + 1, $n = count($radii); $j < $n; $j++) {
                [$dx, $dy] = [$x - $places[2 * $j], $y - $places[2 * $j + 1]];
                $apart = max(1e-12, hypot($dx, $dy));
                $over = $radius + $radii[$j] - $apart;
                if ($over > 0 && $j >= $held) {
                    [$ux, $uy] = [$dx / $apart, $dy / $apart];
                    $slopes = [2 * $j => $ux, 2 * $j + 1 => $uy];
                    $rows[] = [$over, $i < $held ? $slopes : $slopes + [2 * $i => -$ux, 2 * $i + 1 => -$uy]];
                    $energy += $over * $over;
                }
            }
        }

        return [$energy, $rows];
    }

    /**
     * @param  list<array{float, array<int, float>}>  $rows
     * @param  list<float>  $places
     * @return list<float>
     */
    private static function step(array $rows, array $places, float $damping): array
    {
        $size = count($places);
        $normal = array_fill(0, $size, array_fill(0, $size, 0.0));
        $right = array_fill(0, $size, 0.0);
        foreach ($rows as [$over, $slopes]) {
            foreach ($slopes as $p => $slope) {
                $right[$p] -= $slope * $over;
                foreach ($slopes as $q => $other) {
                    $normal[$p][$q] += $slope * $other;
                }
            }
        }
        for ($p = 0; $p < $size; $p++) {
            $normal[$p][$p] += $damping;
        }
        $moves = self::solve($normal, $right);
        $moved = [];
        foreach ($places as $p => $place) {
            $moved[] = $place + $moves[$p];
        }

        return $moved;
    }

    /**
     * Cholesky: the matrix is symmetric and, damped, positive definite.
     *
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $right
     * @return array<int, float>
     */
    private static function solve(array $matrix, array $right): array
    {
        $size = count($right);
        for ($i = 0; $i < $size; $i++) {
            for ($j = 0; $j <= $i; $j++) {
                $sum = $matrix[$i][$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $matrix[$i][$k] * $matrix[$j][$k];
                }
                $matrix[$i][$j] = $i === $j ? sqrt(max(1e-18, $sum)) : $sum / $matrix[$j][$j];
            }
        }
        for ($i = 0; $i < $size; $i++) {
            for ($k = 0; $k < $i; $k++) {
                $right[$i] -= $matrix[$i][$k] * $right[$k];
            }
            $right[$i] /= $matrix[$i][$i];
        }
        for ($i = $size - 1; $i >= 0; $i--) {
            for ($k = $i + 1; $k < $size; $k++) {
                $right[$i] -= $matrix[$k][$i] * $right[$k];
            }
            $right[$i] /= $matrix[$i][$i];
        }

        return $right;
    }
}

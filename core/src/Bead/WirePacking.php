<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

/**
 * The smallest circle round wires of given diameters lying side by side, and where they lie in it.
 *
 * Equal wires, up to eight: the ratios of [published: Graham, Lubachevsky, Nurmela, Östergård 1998, Dense packings of
 * congruent circles in a circle, Discrete Mathematics 181]. Two wires: the sum. Three: the circle of Descartes' theorem
 * where all three touch it, else the two thickest. Otherwise solved: from fixed layouts wires are pushed apart in a
 * circle that is too small, and what presses then is made to touch, by Newton's rule; the best layout counts.
 *
 * Up to eight wires are begun from every layout; as far as longer searches show they come out exact, never too tight.
 * Cost: O(n²) a relaxing round, O(n³) a Newton round, a few milliseconds.
 */
final readonly class WirePacking
{
    public const MOST_WIRES = 19;

    private const GOLDEN_ANGLE = 2.399963229728653;

    /** What share of the circle they are first tried to fill. */
    private const DENSE = 0.80;

    private const ROUNDS = 8;

    /** An overlap, in squares of the radius, that a few more rounds would undo. */
    private const FITS = 0.001;

    private const PUSHES = 12;

    private const SHRINK = 0.985;

    /** An exchange that leaves so much more overlap after a few rounds will not come right. */
    private const HOPELESS = 4.0;

    /** @param  list<array{x: float, y: float, d: float}>  $places  millimetres from the middle of the circle */
    private function __construct(public float $neededMm, public array $places)
    {
    }

    /** @param  non-empty-list<float>  $diametersMm each > 0 */
    public static function neededMm(array $diametersMm): float
    {
        rsort($diametersMm);

        return self::closedForm($diametersMm) ?? 2 * self::solved(self::halved($diametersMm))[0];
    }

    /** @param  non-empty-list<float>  $diametersMm each > 0 */
    public static function of(array $diametersMm): self
    {
        rsort($diametersMm);
        $radii = self::halved($diametersMm);
        $count = count($radii);
        if ($count <= 2) {
            $places = $count === 1 ? [0.0, 0.0] : [-$radii[1], 0.0, $radii[0], 0.0];
            $needed = 2 * array_sum($radii);
        } elseif ($count === 3) {
            $needed = 2 * self::three($radii[0], $radii[1], $radii[2]);
            $places = self::threePlaced($radii[0], $radii[1], $radii[2], $needed / 2);
        } else {
            [$radius, $places] = self::solved($radii);
            // The closed form is the sharper figure; the layout agrees with it to a millionth.
            $needed = self::closedForm($diametersMm) ?? 2 * $radius;
        }

        return new self(
            $needed,
            array_map(
                fn (int $i): array => ['x' => $places[2 * $i], 'y' => $places[2 * $i + 1], 'd' => $diametersMm[$i]],
                range(0, $count - 1),
            ),
        );
    }

    /**
     * @param  non-empty-list<float>  $diametersMm
     * @return non-empty-list<float>
     */
    private static function halved(array $diametersMm): array
    {
        return array_map(fn (float $d): float => $d / 2, $diametersMm);
    }

    /** @param  non-empty-list<float>  $diametersMm thickest first */
    private static function closedForm(array $diametersMm): ?float
    {
        $count = count($diametersMm);
        $equal = $diametersMm[0] - $diametersMm[$count - 1] < 1e-9;

        return match (true) {
            $equal && $count <= 8 => self::equalRatio($count) * $diametersMm[0],
            $count === 2 => $diametersMm[0] + $diametersMm[1],
            $count === 3 => 2 * self::three($diametersMm[0] / 2, $diametersMm[1] / 2, $diametersMm[2] / 2),
            default => null,
        };
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

    /**
     * Radii, thickest first. Outer circle of three touching circles: 1/R = −(k1 + k2 + k3) + 2√(k1k2 + k2k3 + k3k1),
     * negative when it encloses.
     */
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

    /**
     * Where three lie: the two thickest on the middle line, the third touching both; or all three on the rim.
     *
     * @return list<float>
     */
    private static function threePlaced(float $a, float $b, float $c, float $within): array
    {
        // Seen from a corner with two sides, the angle that the third side spans.
        $angle = fn (float $one, float $other, float $third): float => acos(
            max(-1.0, min(1.0, ($one ** 2 + $other ** 2 - $third ** 2) / (2 * max(1e-12, $one * $other)))),
        );
        if ($within <= ($a + $b) * (1 + 1e-12)) {
            $turn = $angle($a + $b, $a + $c, $b + $c);

            return [-$b, 0.0, $a, 0.0, -$b + ($a + $c) * cos($turn), ($a + $c) * sin($turn)];
        }
        [$ab, $ac] = [$angle($within - $a, $within - $b, $a + $b), $angle($within - $a, $within - $c, $a + $c)];

        return [
            $within - $a, 0.0, ($within - $b) * cos($ab), ($within - $b) * sin($ab), ($within - $c) * cos($ac),
            -($within - $c) * sin($ac),
        ];
    }

    /**
     * @param  non-empty-list<float>  $radii thickest first
     * @return array{float, list<float>}
     */
    private static function solved(array $radii): array
    {
        $area = array_sum(array_map(fn (float $r): float => $r * $r, $radii));
        $least = max($radii[0] + $radii[1], sqrt($area));
        $within = max($least, sqrt($area / self::DENSE));
        $layouts = [];
        foreach (self::starts($radii) as $places) {
            $layouts[] = self::relaxed($radii, $places, $within);
        }
        usort($layouts, fn (array $a, array $b): int => $a[1] <=> $b[1]);
        $best = count($radii) > 8 ? self::squeezed($radii, $within, $least) : [INF, []];
        foreach (array_slice($layouts, 0, self::tries(count($radii))) as $layout) {
            $found = self::widened($radii, ...self::tightened($radii, $layout, $within, $least));
            if ($found[0] < $best[0]) {
                $best = $found;
            }
            if ($best[0] <= $least * (1 + 1e-9)) {
                break;
            }
        }

        return $best;
    }

    /**
     * Many nearly alike find their places best while a roomy circle slowly shrinks round them.
     *
     * @param  non-empty-list<float>  $radii
     * @return array{float, list<float>}
     */
    private static function squeezed(array $radii, float $within, float $least): array
    {
        $best = [INF, []];
        foreach (self::starts($radii) as $places) {
            $room = 1.4 * $within;
            do {
                $room *= 0.99;
                [$places, $overlap] = self::relaxed($radii, $places, $room);
            } while ($overlap < 1e-5 * $room * $room && $room > $least);
            $found = self::widened($radii, array_values($places), $least, $room);
            $best = $found[0] < $best[0] ? $found : $best;
        }

        // A layout may rest on its own symmetry: a nudge shows.
        for ($nudge = 1; $nudge <= 6; $nudge++) {
            $places = [];
            foreach ($best[1] as $at => $place) {
                $places[] = $place + 0.06 * $best[0] * sin(2.4 * ($at + 1) * $nudge);
            }
            $found = self::widened($radii, $places, $least, 0.995 * $best[0]);
            $best = $found[0] < $best[0] ? $found : $best;
        }

        return $best;
    }

    /** Few wires are cheap to try again, and many have more ways to lie. */
    private static function tries(int $count): int
    {
        return $count <= 8 ? 12 : 4;
    }

    /**
     * The circle shrinks while the wires fit it; where they do not, two of unlike thickness change places if that
     * leaves less overlap; it ends when no exchange helps.
     *
     * @param  non-empty-list<float>  $radii
     * @param  array{array<int, float>, float}  $layout  places and their overlap
     * @return array{list<float>, float, float} places, the least radius, and the radius that was too small
     */
    private static function tightened(array $radii, array $layout, float $within, float $least): array
    {
        $count = count($radii);
        $pairs = [];
        for ($i = $count - 1; $i >= 0; $i--) {
            // A pair of the same wire: it goes over to the other side.
            $pairs[] = [$i, $i];
            for ($j = $i + 1; $j < $count; $j++) {
                if ($radii[$i] - $radii[$j] > 1e-6) {
                    $pairs[] = [$i, $j];
                }
            }
        }
        [$at, $failed] = [0, 0];
        while (true) {
            if ($layout[1] < self::FITS * $within * $within) {
                if ($within <= $least) {
                    break;
                }
                $within = max($least, self::SHRINK * $within);
                $layout = self::relaxed($radii, $layout[0], $within);
                $failed = 0;

                continue;
            }
            if ($failed >= count($pairs)) {
                break;
            }
            [$i, $j] = $pairs[$at++ % count($pairs)];
            $places = $layout[0];
            $side = $i === $j ? -1 : 1;
            [$places[2 * $i], $places[2 * $j]] = [$side * $places[2 * $j], $side * $places[2 * $i]];
            [$places[2 * $i + 1], $places[2 * $j + 1]] = [$side * $places[2 * $j + 1], $side * $places[2 * $i + 1]];
            $other = self::relaxed($radii, $places, $within, self::HOPELESS * $layout[1]);
            if ($other[1] < $layout[1] * 0.95) {
                $layout = $other;
                $failed = 0;
            } else {
                $failed++;
            }
        }

        return [array_values($layout[0]), $least, $within];
    }

    /**
     * Fixed layouts: the thickest inside, the thickest outside, and rings in several orders.
     *
     * @param  non-empty-list<float>  $radii
     * @return list<list<float>> x and y in turn
     */
    private static function starts(array $radii): array
    {
        $count = count($radii);
        $spread = sqrt(array_sum(array_map(fn (float $r): float => $r * $r, $radii)));
        $starts = [];
        $orders = [[1, 0], [1, 1], [2, 0], [3, 0], [3, 1], [5, 0], [7, 1]];
        if ($count > 8) {
            array_push($orders, [2, 1], [5, 1], [7, 0], [11, 0], [11, 1]);
        }
        foreach ($orders as [$stride, $isSpiral]) {
            $places = [];
            for ($i = 0; $i < $count; $i++) {
                $turn = ($i * $stride) % $count;
                $out = $spread * ($isSpiral === 1 ? sqrt(($turn + 0.5) / $count) : 0.75);
                $angle = $isSpiral === 1 ? $turn * self::GOLDEN_ANGLE : 2 * M_PI * $turn / $count;
                // A hair of asymmetry, so that no layout is stuck on its own mirror line.
                $places[] = $out * cos($angle + 0.01 * $i);
                $places[] = $out * sin($angle + 0.013 * $i);
            }
            $starts[] = $places;
        }
        // From nine on two or more lie inside the ring.
        for ($inside = 2; $inside <= max(0, intdiv($count - 3, 3)); $inside++) {
            $places = [];
            for ($i = 0; $i < $count; $i++) {
                [$ring, $of, $out] = $i < $inside ? [$i, $inside, 0.3] : [$i - $inside, $count - $inside, 0.85];
                $places[] = $spread * $out * cos(2 * M_PI * $ring / $of + 0.01 * $i);
                $places[] = $spread * $out * sin(2 * M_PI * $ring / $of + 0.013 * $i);
            }
            $starts[] = $places;
        }

        return $starts;
    }

    /**
     * Cheap rounds that push each overlapping pair half apart, to tell good layouts from bad.
     *
     * @param  non-empty-list<float>  $radii
     * @param  array<int, float>  $places
     * @return array{array<int, float>, float} the layout and the squares of its overlaps
     */
    private static function relaxed(array $radii, array $places, float $within, float $hopeless = INF): array
    {
        $count = count($radii);
        $overlap = 0.0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            if ($round === 4 && $overlap > $hopeless) {
                return [$places, INF];
            }
            $overlap = 0.0;
            for ($i = 0; $i < $count; $i++) {
                $room = $within - $radii[$i];
                $x = $places[2 * $i];
                $y = $places[2 * $i + 1];
                $out = $x * $x + $y * $y;
                if ($out > $room * $room) {
                    $out = sqrt($out);
                    $overlap += ($out - $room) ** 2;
                    $x *= $room / $out;
                    $y *= $room / $out;
                }
                for ($j = $i + 1; $j < $count; $j++) {
                    $dx = $places[2 * $j] - $x;
                    $dy = $places[2 * $j + 1] - $y;
                    $apart = $dx * $dx + $dy * $dy;
                    $touch = $radii[$i] + $radii[$j];
                    if ($apart < $touch * $touch) {
                        $apart = max(1e-9, sqrt($apart));
                        $push = ($touch - $apart) / $apart / 2;
                        $overlap += ($touch - $apart) ** 2;
                        $x -= $dx * $push;
                        $y -= $dy * $push;
                        $places[2 * $j] += $dx * $push;
                        $places[2 * $j + 1] += $dy * $push;
                    }
                }
                $places[2 * $i] = $x;
                $places[2 * $i + 1] = $y;
            }
        }

        return [$places, $overlap];
    }

    /**
     * From a circle that is too small: the wires are pushed apart as far as they go, what then presses on what is taken
     * to touch, and the circle is the one in which all of that just touches. Where something else overlaps in it, again
     * from there.
     *
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     * @return array{float, list<float>}
     */
    private static function widened(array $radii, array $places, float $least, float $within): array
    {
        $isFitting = false;
        for ($round = 0; $round < 24; $round++) {
            [$places, $energy, $onRim] = self::pushedApart($radii, $places, $within);
            if ($energy < 1e-17 * $within * $within) {
                if ($within <= $least || $isFitting) {
                    return [$within, $places];
                }
                // It fits at its ease: begin from a circle that is too small.
                $within = max($least, 0.985 * $within);

                continue;
            }
            [$touching, $moved] = self::touching($radii, $places, $within);
            if (
                $touching > $within
                && $touching < 1.2 * $within
                && self::overlaps($radii, $moved, $touching * (1 + 1e-8))[0] < 1e-15 * $within * $within
            ) {
                return [$touching * (1 + 1e-8), $moved];
            }
            $isFitting = true;
            $within += min(0.03 * $within, $energy / max(1e-12, $onRim));
        }

        return [INF, $places];
    }

    /**
     * The circle, and the layout, in which every pair that now overlaps just touches: Newton on the contacts, the
     * radius one unknown more.
     *
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     * @return array{float, list<float>}
     */
    private static function touching(array $radii, array $places, float $within): array
    {
        [, , $rows] = self::overlaps($radii, $places, $within);
        $pressing = 0.03 * max(0.0, ...array_column($rows, 0));
        $count = count($radii);
        $contacts = [];
        foreach ($rows as [$over, $slopes]) {
            if ($over > $pressing) {
                $ends = array_keys($slopes);
                $contacts[] = [intdiv($ends[0], 2), isset($ends[2]) ? intdiv($ends[2], 2) : null];
            }
        }
        $unknowns = [...$places, $within];
        for ($round = 0; $round < 10; $round++) {
            $rows = [];
            $energy = 0.0;
            foreach ($contacts as [$i, $j]) {
                [$x, $y] = [$unknowns[2 * $i], $unknowns[2 * $i + 1]];
                if ($j === null) {
                    $out = max(1e-12, sqrt($x * $x + $y * $y));
                    $over = $out + $radii[$i] - $unknowns[2 * $count];
                    $rows[] = [$over, [2 * $i => $x / $out, 2 * $i + 1 => $y / $out, 2 * $count => -1.0]];
                } else {
                    [$dx, $dy] = [$x - $unknowns[2 * $j], $y - $unknowns[2 * $j + 1]];
                    $apart = max(1e-12, sqrt($dx * $dx + $dy * $dy));
                    $over = $radii[$i] + $radii[$j] - $apart;
                    $rows[] = [
                        $over,
                        [
                            2 * $i => -$dx / $apart, 2 * $i + 1 => -$dy / $apart, 2 * $j => $dx / $apart,
                            2 * $j + 1 => $dy / $apart,
                        ],
                    ];
                }
                $energy += $over * $over;
            }
            if ($energy < 1e-22 * $within * $within) {
                break;
            }
            $unknowns = self::step($rows, $unknowns, 1e-10);
        }

        return [$unknowns[2 * $count], array_slice($unknowns, 0, 2 * $count)];
    }

    /**
     * Moves overlapping circles apart inside a circle of radius R as far as they will: Levenberg–Marquardt on the
     * overlaps.
     *
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     * @return array{list<float>, float, float} the layout, the squares of its overlaps, the overlaps on the rim
     */
    private static function pushedApart(array $radii, array $places, float $within): array
    {
        $damping = 1e-3;
        [$energy, $onRim, $rows] = self::overlaps($radii, $places, $within);
        for ($round = 0; $round < (count($radii) > 8 ? 60 : self::PUSHES); $round++) {
            if ($energy < 1e-17 * $within * $within) {
                break;
            }
            $moved = self::step($rows, $places, $damping);
            [$after, $rimAfter, $rowsAfter] = self::overlaps($radii, $moved, $within);
            if ($after < $energy) {
                $slow = $energy - $after < 1e-5 * $energy;
                [$places, $energy, $onRim, $rows] = [$moved, $after, $rimAfter, $rowsAfter];
                $damping = max(1e-9, $damping / 8);
                if ($slow) {
                    break;
                }
            } else {
                $damping *= 20;
                if ($damping > 1e3) {
                    break;
                }
            }
        }

        return [$places, $energy, $onRim];
    }

    /**
     * Each overlap with its slope against the coordinates it depends on.
     *
     * @param  non-empty-list<float>  $radii
     * @param  list<float>  $places
     * @return array{float, float, list<array{float, array<int, float>}>}
     */
    private static function overlaps(array $radii, array $places, float $within): array
    {
        $rows = [];
        $energy = $onRim = 0.0;
        $count = count($radii);
        foreach ($radii as $i => $radius) {
            $x = $places[2 * $i];
            $y = $places[2 * $i + 1];
            $room = $within - $radius;
            $out = $x * $x + $y * $y;
            if ($out > $room * $room) {
                $out = sqrt($out);
                $over = $out - $room;
                $rows[] = [$over, [2 * $i => $x / $out, 2 * $i + 1 => $y / $out]];
                $energy += $over * $over;
                $onRim += $over;
            }
            for ($j = $i + 1; $j < $count; $j++) {
                $dx = $x - $places[2 * $j];
                $dy = $y - $places[2 * $j + 1];
                $touch = $radius + $radii[$j];
                $apart = $dx * $dx + $dy * $dy;
                if ($apart < $touch * $touch) {
                    $apart = max(1e-12, sqrt($apart));
                    $over = $touch - $apart;
                    $ux = $dx / $apart;
                    $uy = $dy / $apart;
                    $rows[] = [$over, [2 * $i => -$ux, 2 * $i + 1 => -$uy, 2 * $j => $ux, 2 * $j + 1 => $uy]];
                    $energy += $over * $over;
                }
            }
        }

        return [$energy, $onRim, $rows];
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
                    // Cholesky reads the lower half alone.
                    if ($q <= $p) {
                        $normal[$p][$q] += $slope * $other;
                    }
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
            $row = $matrix[$i];
            for ($j = 0; $j < $i; $j++) {
                $sum = $row[$j];
                $other = $matrix[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $row[$k] * $other[$k];
                }
                $row[$j] = $sum / $other[$j];
            }
            $sum = $row[$i];
            $value = $right[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $row[$k] * $row[$k];
                $value -= $row[$k] * $right[$k];
            }
            $row[$i] = sqrt(max(1e-18, $sum));
            $right[$i] = $value / $row[$i];
            $matrix[$i] = $row;
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

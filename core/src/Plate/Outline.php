<?php

declare(strict_types=1);

namespace Hebra\Core\Plate;

use Hebra\Core\Quantity\OutOfRange;

/**
 * An outline of one's own, read from the data of an SVG path (W3C SVG 1.1, section 8.3: M L H V C S Q T Z, absolute and
 * relative): one closed line, fitted into a square from -1 to 1.
 */
final readonly class Outline
{
    private const MOST_LETTERS = 4000;

    private const MOST_POINTS = 400;

    private const STEPS = 8;

    private const NUMBERS = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'Z' => 0];

    /** @param  non-empty-list<array{float, float}>  $points */
    private function __construct(
        public array $points,
        /** how wide it was drawn, of its length */
        public float $wideOfLong,
    ) {
    }

    /** @throws OutOfRange if it cannot be read, is open to none, or crosses itself */
    public static function read(string $path, string $field): self
    {
        $accepted = 'the data of one SVG path, such as M0 0 L10 0 L5 12 Z';
        $told = '“'.mb_strimwidth($path, 0, 40, '…').'”';
        self::atMost($field, mb_strlen($path), self::MOST_LETTERS, 'letters', 'is too long an outline');
        $points = self::points($path, $field, $accepted);
        self::atMost($field, count($points), self::MOST_POINTS, 'points', 'is too fine an outline');
        $isFlat = fn (int $axis): bool => count(array_unique(array_column($points, $axis))) < 2;
        if (count($points) < 3 || $isFlat(0) || $isFlat(1)) {
            throw OutOfRange::because($field, $told, 'encloses nothing', $accepted);
        }
        if (self::crosses($points)) {
            throw OutOfRange::because($field, $told, 'crosses itself', 'an outline that goes round once');
        }

        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];

        return new self(self::fitted($points), (max($xs) - min($xs)) / (max($ys) - min($ys)));
    }

    /**
     * Into a square from -1 to 1.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @return non-empty-list<array{float, float}>
     */
    private static function fitted(array $points): array
    {
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        [$left, $wide, $top, $high] = [min($xs), max($xs) - min($xs), min($ys), max($ys) - min($ys)];

        return array_map(
            fn (array $at): array => [2 * ($at[0] - $left) / $wide - 1, 2 * ($at[1] - $top) / $high - 1], $points,
        );
    }

    private static function atMost(string $field, int $count, int $most, string $of, string $why): void
    {
        $count <= $most || throw OutOfRange::because($field, "{$count} {$of}", $why, "at most {$most}");
    }

    /** @return list<array{float, float}> */
    private static function points(string $path, string $field, string $accepted): array
    {
        preg_match_all('/([a-zA-Z])|([-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d{1,2})?)/', $path, $found, PREG_SET_ORDER);
        [$points, $at, $command, $numbers, $lead] = [[], [0.0, 0.0], '', [], null];
        foreach ($found as $token) {
            if (($token[1] ?? '') !== '') {
                $command = $token[1];
                isset(self::NUMBERS[strtoupper($command)]) || throw OutOfRange::because(
                    $field, "“{$command}”", 'is no line or curve that is read here', $accepted,
                );
                $numbers = [];

                continue;
            }
            $numbers[] = (float) ($token[2] ?? 0);
            if ($command === '' || count($numbers) < max(1, self::NUMBERS[strtoupper($command)])) {
                continue;
            }
            [$line, $lead] = self::line($command, $numbers, $at, $lead);
            array_push($points, ...$line);
            $at = $points[count($points) - 1];
            $numbers = [];
        }

        return self::withoutTwice($points);
    }

    /**
     * @param  list<float>  $numbers
     * @param  array{float, float}  $at
     * @param  array{float, float}|null  $lead  the last control point
     * @return array{non-empty-list<array{float, float}>, array{float, float}|null}
     */
    private static function line(string $command, array $numbers, array $at, ?array $lead): array
    {
        [$x, $y] = ctype_lower($command) ? $at : [0.0, 0.0];
        $kind = strtoupper($command);
        if ($kind === 'H' || $kind === 'V') {
            return [[$kind === 'H' ? [$x + $numbers[0], $at[1]] : [$at[0], $y + $numbers[0]]], null];
        }
        $given = array_map(
            fn (array $pair): array => [$x + $pair[0], $y + ($pair[1] ?? 0.0)], array_chunk($numbers, 2),
        );
        $mirrored = $lead === null ? $at : [2 * $at[0] - $lead[0], 2 * $at[1] - $lead[1]];
        $points = match ($kind) {
            'C', 'Q' => [$at, ...$given],
            'S', 'T' => [$at, $mirrored, ...$given],
            default => [],
        };

        return $points === [] ? [[$given[0]], null] : [self::curve($points), $points[count($points) - 2]];
    }

    /**
     * A Bézier curve by halving between its points (de Casteljau).
     *
     * @param  non-empty-list<array{float, float}>  $control
     * @return non-empty-list<array{float, float}>
     */
    private static function curve(array $control): array
    {
        return array_map(function (int $step) use ($control): array {
            $share = $step / self::STEPS;
            while (count($control) > 1) {
                $next = [];
                for ($at = 1; $at < count($control); $at++) {
                    $next[] = [
                        $control[$at - 1][0] + $share * ($control[$at][0] - $control[$at - 1][0]),
                        $control[$at - 1][1] + $share * ($control[$at][1] - $control[$at - 1][1]),
                    ];
                }
                $control = $next;
            }

            return $control[0];
        }, range(1, self::STEPS));
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function withoutTwice(array $points): array
    {
        $kept = [];
        foreach ($points as $at) {
            $last = $kept[count($kept) - 1] ?? null;
            if ($last === null || hypot($at[0] - $last[0], $at[1] - $last[1]) > 1e-6) {
                $kept[] = $at;
            }
        }
        if (count($kept) < 2) {
            return $kept;
        }
        [[$x, $y], [$lastX, $lastY]] = [$kept[0], $kept[count($kept) - 1]];

        return hypot($lastX - $x, $lastY - $y) < 1e-6 ? array_slice($kept, 0, -1) : $kept;
    }

    /** @param  list<array{float, float}>  $points */
    private static function crosses(array $points): bool
    {
        $count = count($points);
        for ($one = 0; $one < $count; $one++) {
            for ($other = $one + 2; $other < $count; $other++) {
                $isNeighbour = $one === 0 && $other === $count - 1;
                $meets = self::meets($points[$one], $points[$one + 1], $points[$other], $points[($other + 1) % $count]);
                if ($meets && ! $isNeighbour) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function meets(array $a, array $b, array $c, array $d): bool
    {
        return self::side($a, $b, $c) * self::side($a, $b, $d) < 0
            && self::side($c, $d, $a) * self::side($c, $d, $b) < 0;
    }

    /**
     * On which side of the line from p to q the point r lies, by the sign.
     *
     * @param  array{float, float}  $p
     * @param  array{float, float}  $q
     * @param  array{float, float}  $r
     */
    private static function side(array $p, array $q, array $r): float
    {
        return ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * A basket weave as a list of passes, `f1 b2 f3 b3 f2 b1`: in front of core 1, behind core 2, … then back. `f1-3`
 * passes before three cores, `b3-1` behind them from right to left. After the last pass the wire begins again with the
 * first.
 *
 * Length = the taut string round those circles: straight stretches that touch two circles, and the arcs between them;
 * every full turn round a core counts, and the repeat climbs one wire for each stroke on one face of its busiest core.
 * Millimetres. Source: geometry. Invariants: 2 to 80 passes; cores 1 to n; no pass jumps over a core; it turns only
 * round a core it stands on.
 */
final readonly class BasketWeave
{
    /**
     * @param  non-empty-list<array{core: int, turn: 1|-1, isFront: bool}>  $touches circles in order; turn 1 clockwise,
     *     seen along the cores
     */
    private function __construct(public int $cores, public array $touches, public int $passes)
    {
    }

    /** @throws Unreadable|OutOfRange if it is not written so, or cannot be woven */
    public static function parse(string $text, int $cores, string $field = 'passes'): self
    {
        if (mb_strlen($text) > 400) {
            throw Unreadable::tooLong($field, mb_strlen($text), 400);
        }
        $stands = [];
        $tokens = preg_split(
            '/[\s,;]+/',
            trim(mb_strtolower(strtr(mb_scrub($text), ['–' => '-', '−' => '-']))),
            -1,
            PREG_SPLIT_NO_EMPTY,
        ) ?: [];
        foreach ($tokens as $token) {
            if (preg_match('/^([fb])(\d{1,3})(?:-(\d{1,3}))?$/', $token, $match) !== 1) {
                throw Unreadable::passes($field, $text);
            }
            foreach (range((int) $match[2], (int) ($match[3] ?? $match[2])) as $core) {
                if ($core < 1 || $core > $cores) {
                    throw OutOfRange::because(
                        $field,
                        "“{$token}”",
                        "names core {$core} of {$cores}",
                        "cores 1 to {$cores}",
                    );
                }
                $stands[] = ['core' => $core, 'front' => $match[1] === 'f', 'token' => $token];
            }
        }
        if (count($tokens) < 2 || count($tokens) > 80) {
            throw OutOfRange::between($field, count($tokens).' passes', '2', '80');
        }

        return new self($cores, self::touched($stands, $field), count($tokens));
    }

    /**
     * @param  list<array{core: int, front: bool, token: string}>  $stands
     * @return non-empty-list<array{core: int, turn: 1|-1, isFront: bool}>
     */
    private static function touched(array $stands, string $field): array
    {
        $touches = [];
        foreach (self::directions($stands, $field) as $at => $right) {
            $stand = $stands[$at];
            $touches[] = [
                'core' => $stand['core'],
                'turn' => $stand['front'] === $right > 0 ? 1 : -1,
                'isFront' => $stand['front'],
            ];
        }

        return $touches === [] ? throw Unreadable::empty($field, 'passes, such as f1 b2 b1 f2') : $touches;
    }

    /**
     * Whether each stroke goes right (1) or left (−1): towards the next core; at the last stroke on a core away from
     * the one it came from; and each stroke that stays on a core goes back on the one before.
     *
     * @param  list<array{core: int, front: bool, token: string}>  $stands
     * @return list<int>
     */
    private static function directions(array $stands, string $field): array
    {
        $count = count($stands);
        $right = [];
        foreach ($stands as $at => $stand) {
            [$before, $next] = [$stands[($at + $count - 1) % $count], $stands[($at + 1) % $count]];
            if (abs($next['core'] - $stand['core']) > 1) {
                throw OutOfRange::because(
                    $field,
                    "“{$next['token']}”",
                    "jumps from core {$stand['core']} to core {$next['core']}",
                    'a pass before or behind every core between',
                );
            }
            $right[$at] = ($next['core'] <=> $stand['core']) ?: ($stand['core'] <=> $before['core']);
        }
        // Twice round: what goes back on a stroke at the end of the repeat is known in the second.
        for ($round = 0; $round < 2 * $count; $round++) {
            [$at, $last] = [$round % $count, ($round + $count - 1) % $count];
            $right[$at] = $right[$at] !== 0 ? $right[$at] : -$right[$last];
        }

        return array_map(fn (int $at): int => match (true) {
            $right[$at] !== 0 => $right[$at],
            $stands[$at]['front'] => 1,
            default => -1,
        }, array_keys($right));
    }

    /**
     * The cores in the order in which the wire lies against them, each with its strokes: in front and behind, one after
     * the other.
     *
     * @return non-empty-list<array{core: int, turn: 1|-1, strokes: int}>
     */
    private function held(): array
    {
        $first = $this->touches[0];
        $held = [['core' => $first['core'], 'turn' => $first['turn'], 'strokes' => 1]];
        foreach (array_slice($this->touches, 1) as ['core' => $core, 'turn' => $turn]) {
            $last = count($held) - 1;
            if ($held[$last]['core'] === $core && $held[$last]['turn'] === $turn) {
                $held[$last]['strokes']++;
            } else {
                $held[] = ['core' => $core, 'turn' => $turn, 'strokes' => 1];
            }
        }
        $last = count($held) - 1;
        // The repeat goes round: what it ends on it begins on.
        if ($last > 0 && $held[0]['core'] === $held[$last]['core'] && $held[0]['turn'] === $held[$last]['turn']) {
            $held[0]['strokes'] += $held[$last]['strokes'];

            return array_slice($held, 0, $last);
        }

        return $held;
    }

    /** The taut string of one repeat, flat: without the climb. */
    public function flatMm(float $coreMm, float $wireMm, float $spacingMm): float
    {
        $rho = ($coreMm + $wireMm) / 2;
        $points = $this->held();
        $count = count($points);
        if ($count === 1) {
            return M_PI * $rho * $points[0]['strokes'];
        }
        $length = 0.0;
        $headings = [];
        for ($at = 0; $at < $count; $at++) {
            [$straight, $headings[]] = self::tangent($points[$at], $points[($at + 1) % $count], $spacingMm, $rho);
            $length += $straight;
        }
        for ($at = 0; $at < $count; $at++) {
            [$before, $next] = [$points[($at + $count - 1) % $count]['core'], $points[($at + 1) % $count]['core']];
            $turned = $points[$at]['turn'] * ($headings[($at + $count - 1) % $count] - $headings[$at]);
            $arc = self::arc($turned, $before === $next);
            // Each two strokes beyond the first two go once more all the way round.
            $length += ($arc + 2 * M_PI * intdiv($points[$at]['strokes'] - 1, 2)) * $rho;
        }

        return $length;
    }

    /**
     * How the taut string of one repeat runs, seen along the cores: places across the band and towards its front, and
     * where it heads there, radians; straight between two that head alike, else round a core by a quarter turn at most.
     *
     * @return non-empty-list<array{x: float, z: float, heading: float}> x from the middle of the first core
     */
    public function string(float $coreMm, float $wireMm, float $spacingMm): array
    {
        $rho = ($coreMm + $wireMm) / 2;
        $points = $this->held();
        $count = count($points);
        $headings = array_map(
            fn (int $at): float => $count === 1
                ? 0.0
                : self::tangent($points[$at], $points[($at + 1) % $count], $spacingMm, $rho)[1],
            array_keys($points),
        );
        $string = [];
        foreach ($points as $at => ['core' => $core, 'turn' => $turn, 'strokes' => $strokes]) {
            [$before, $next] = [$points[($at + $count - 1) % $count]['core'], $points[($at + 1) % $count]['core']];
            [$comes, $leaves] = [$headings[($at + $count - 1) % $count], $headings[$at]];
            $turned = $count === 1
                ? M_PI * $strokes
                : self::arc($turn * ($comes - $leaves), $before === $next) + 2 * M_PI * intdiv($strokes - 1, 2);
            $pieces = max(1, (int) ceil($turned / (M_PI / 2) - 1e-9));
            for ($piece = 0; $piece <= $pieces; $piece++) {
                $heading = $comes - $turn * $turned * $piece / $pieces;
                $string[] = [
                    'x' => ($core - 1) * $spacingMm - $rho * $turn * sin($heading),
                    'z' => $rho * $turn * cos($heading), 'heading' => $heading,
                ];
            }
        }

        return $string;
    }

    /**
     * How far the string lies against a core between two headings; straight on it does not, and back the way it came it
     * goes all round.
     */
    private static function arc(float $turned, bool $isBack): float
    {
        $arc = fmod(fmod($turned, 2 * M_PI) + 2 * M_PI, 2 * M_PI);
        if ($arc < 1e-9 || $arc > 2 * M_PI - 1e-9) {
            return $isBack ? 2 * M_PI : 0.0;
        }

        return $arc;
    }

    /**
     * @param  array{core: int, turn: 1|-1, strokes: int}  $from
     * @param  array{core: int, turn: 1|-1, strokes: int}  $to
     * @return array{float, float} length of the straight stretch, and where it heads
     */
    private static function tangent(array $from, array $to, float $spacingMm, float $rho): array
    {
        $dx = ($to['core'] - $from['core']) * $spacingMm;
        if ($from['turn'] === $to['turn']) {
            return [abs($dx), $dx >= 0 ? 0.0 : M_PI];
        }
        $distance = abs($dx);
        $straight = sqrt(max(0.0, $distance ** 2 - 4 * $rho ** 2));
        // Crossing between two circles: clockwise first means down across the middle line.
        $slope = atan2(2 * $rho, max(1e-12, $straight));
        $crosses = $from['turn'] === 1 ? -$slope : $slope;

        return [$straight, $dx >= 0 ? $crosses : M_PI + $crosses];
    }

    public function wireMm(float $coreMm, float $wireMm, float $spacingMm, int $repeats): float
    {
        return $repeats * hypot($this->flatMm($coreMm, $wireMm, $spacingMm), $this->climbMm($wireMm));
    }

    /**
     * Cores that it goes only before or only behind, or not at all: drawn taut it slips off them, and they fall out.
     *
     * @return list<int>
     */
    public function freeCores(): array
    {
        $sides = [];
        foreach ($this->touches as $touch) {
            $sides[$touch['core']][(int) $touch['isFront']] = true;
        }

        return array_values(array_filter(
            range(1, $this->cores), fn (int $core): bool => count($sides[$core] ?? []) < 2,
        ));
    }

    /** What speaks against it; null where every core is held. */
    public function objection(): ?string
    {
        $free = $this->freeCores();

        return $free === [] ? null : 'Core '.implode(' or ', $free).' is not passed on both sides: it would fall out.';
    }

    /**
     * Whether the back shows what the front does, whichever way it is turned over: along its length, the cores then
     * come from the other side; end over end, the passes then run the other way.
     */
    public function facesMatch(): bool
    {
        $front = array_map(fn (array $touch): array => [$touch['core'], $touch['isFront']], $this->touches);
        $along = array_map(
            fn (array $touch): array => [$this->cores + 1 - $touch['core'], ! $touch['isFront']], $this->touches,
        );
        $over = array_map(
            fn (array $touch): array => [$touch['core'], ! $touch['isFront']], array_reverse($this->touches),
        );

        return self::isTurnOf($front, $along) || self::isTurnOf($front, $over);
    }

    /**
     * Whether one repeat is the other, begun elsewhere.
     *
     * @param  list<array{int, bool}>  $one
     * @param  list<array{int, bool}>  $other
     */
    private static function isTurnOf(array $one, array $other): bool
    {
        foreach (array_keys($one) as $from) {
            if ([...array_slice($one, $from), ...array_slice($one, 0, $from)] === $other) {
                return true;
            }
        }

        return false;
    }

    /** One repeat climbs one wire for every stroke on one face of its busiest core. */
    public function climbMm(float $wireMm): float
    {
        $strokes = array_count_values(
            array_map(fn (array $touch): string => $touch['core'].($touch['isFront'] ? 'f' : 'b'), $this->touches),
        );

        return $wireMm * max($strokes);
    }
}

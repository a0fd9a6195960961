<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * A basket weave as a list of passes, `f1 b2 f3 b3 f2 b1`: in front of core 1, behind core 2, … then back. `f1-3` passes
 * before three cores, `b3-1` behind them from right to left. After the last pass the wire begins again with the first.
 *
 * Length = the taut string round those circles: straight stretches that touch two circles, and the arcs between them;
 * each pass climbs by the wire's own thickness over the whole repeat. Millimetres. Source: geometry.
 * Invariants: 2 to 80 passes; cores 1 to n; no pass jumps over a core; it turns only round a core it stands on.
 */
final readonly class BasketWeave
{
    /** @param  non-empty-list<array{core: int, turn: 1|-1, isFront: bool}>  $touches  circles in order; turn 1 clockwise, seen along the cores */
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
        $tokens = preg_split('/[\s,;]+/', trim(mb_strtolower(strtr(mb_scrub($text), ['–' => '-', '−' => '-']))), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ($tokens as $token) {
            if (preg_match('/^([fb])(\d{1,3})(?:-(\d{1,3}))?$/', $token, $match) !== 1) {
                throw Unreadable::passes($field, $text);
            }
            foreach (range((int) $match[2], (int) ($match[3] ?? $match[2])) as $core) {
                if ($core < 1 || $core > $cores) {
                    throw OutOfRange::because($field, "“{$token}”", "names core {$core} of {$cores}", "cores 1 to {$cores}");
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
        $count = count($stands);
        $touches = [];
        foreach ($stands as $at => $stand) {
            $next = $stands[($at + 1) % $count];
            $before = $stands[($at + $count - 1) % $count];
            if (abs($next['core'] - $stand['core']) > 1) {
                throw OutOfRange::because($field, "“{$next['token']}”", "jumps from core {$stand['core']} to core {$next['core']}", 'a pass before or behind every core between');
            }
            $right = $next['core'] <=> $stand['core'];
            // Standing at an end core the direction is the one it came from.
            $right = $right !== 0 ? $right : $stand['core'] <=> $before['core'];
            if ($right === 0) {
                $right = $stand['front'] ? 1 : -1;
            }
            $touches[] = ['core' => $stand['core'], 'turn' => ($stand['front'] ? 1 : -1) * $right > 0 ? 1 : -1, 'isFront' => $stand['front']];
        }

        return $touches === [] ? throw Unreadable::empty($field, 'passes, such as f1 b2 b1 f2') : $touches;
    }

    /** The taut string of one repeat, flat: without the climb. */
    public function flatMm(float $coreMm, float $wireMm, float $spacingMm): float
    {
        $rho = ($coreMm + $wireMm) / 2;
        $points = [];
        foreach ($this->touches as ['core' => $core, 'turn' => $turn]) {
            $touch = ['core' => $core, 'turn' => $turn];
            $last = end($points);
            // The same core kept in hand: one arc.
            if ($last === false || $last !== $touch) {
                $points[] = $touch;
            }
        }
        if (count($points) > 1 && $points[0] === $points[count($points) - 1]) {
            array_pop($points);
        }
        $count = count($points);
        if ($count === 1) {
            return 2 * M_PI * $rho;
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
            $arc = fmod(fmod($turned, 2 * M_PI) + 2 * M_PI, 2 * M_PI);
            if ($arc < 1e-9 || $arc > 2 * M_PI - 1e-9) {
                // Straight on is no arc; back the way it came, round a core that touches its neighbour, is a whole turn.
                $arc = $before === $next ? 2 * M_PI : 0.0;
            }
            $length += $arc * $rho;
        }

        return $length;
    }

    /**
     * @param  array{core: int, turn: 1|-1}  $from
     * @param  array{core: int, turn: 1|-1}  $to
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
        $down = $from['turn'] === 1;

        return [$straight, $dx >= 0 ? ($down ? -$slope : $slope) : M_PI + ($down ? -$slope : $slope)];
    }

    public function wireMm(float $coreMm, float $wireMm, float $spacingMm, int $repeats): float
    {
        return $repeats * hypot($this->flatMm($coreMm, $wireMm, $spacingMm), $this->climbMm($wireMm));
    }

    /** One repeat climbs one wire for every time it goes there and back. */
    public function climbMm(float $wireMm): float
    {
        return $wireMm * max(1, intdiv($this->reversals(), 2));
    }

    private function reversals(): int
    {
        $count = count($this->touches);
        $directions = [];
        for ($at = 0; $at < $count; $at++) {
            $step = $this->touches[($at + 1) % $count]['core'] <=> $this->touches[$at]['core'];
            if ($step !== 0) {
                $directions[] = $step;
            }
        }
        $changes = 0;
        foreach ($directions as $at => $direction) {
            $changes += $direction !== $directions[($at + 1) % count($directions)] ? 1 : 0;
        }

        return $changes;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * Turns of wire round a host, each a pitch farther along it: wraps, a binding, a coil on a core. It begins and ends on
 * the host's outside, and goes round before it first. Several alike wires of the host lie one behind the other; the
 * hull round them has straight sides. Millimetres. Length: turns · √((2πr + 2s)² + p²), s from the middle of the
 * nearest to that of the farthest (geometry: a helix unrolled).
 */
final readonly class Wound implements Shape
{
    /** Half a circle as one cubic is as long as it should be where it is pulled so many radii from its ends. */
    public const HALF_PULL = 1.308;

    private const TRIES = 10;

    private const NEAR_MM = 0.01;

    /**
     * @param  float  $turns  whole halves
     * @param  float  $sideMm  how far apart the outer of several wires of the host lie, middle to middle; 0 round one
     */
    public function __construct(
        private Host $host,
        private float $fromMm,
        private float $radiusMm,
        private float $turns,
        private float $pitchMm,
        private float $sideMm = 0.0,
    ) {
    }

    /** Close turns of a wire round a host of a thickness. */
    public static function close(
        Host $host, float $fromMm, int $turns, float $hostMm, float $wireMm, float $sideMm = 0.0, int $way = 1,
        ?float $pitchMm = null,
    ): self {
        return new self($host, $fromMm, ($hostMm + $wireMm) / 2, $turns, $way * ($pitchMm ?? $wireMm), $sideMm);
    }

    /** As many turns as are nearest, in halves, of a wire that is so long in all, over a length of the host. */
    public static function ofLength(
        Host $host, float $fromMm, float $lengthMm, float $turns, float $alongMm, float $sideMm = 0.0,
    ): self {
        $halves = max(1.0, round(2 * $turns));
        $pitch = $alongMm * 2 / $halves;
        $round = sqrt(max(1e-6, ($lengthMm * 2 / $halves) ** 2 - $pitch ** 2));

        return new self($host, $fromMm, max(1e-3, $round - 2 * $sideMm) / (2 * M_PI), $halves / 2, $pitch, $sideMm);
    }

    /**
     * Turns of a wire that is so long in all with the way to them from a place, or from how it stands there, and to
     * another place where one is given.
     */
    public static function between(
        Host $host, float $fromMm, float $lengthMm, float $turns, float $alongMm, float $sideMm, Vector|Frame $from,
        ?Vector $to = null,
    ): Laid {
        [$way, $before] = [0.0, -1.0];
        for ($try = 0; $try < self::TRIES && abs($way - $before) > self::NEAR_MM; $try++) {
            $before = $way;
            $wound = self::ofLength($host, $fromMm, max(1e-3, $lengthMm - $way), $turns, $alongMm, $sideMm);
            [$spans, $end] = $wound->laid($wound->start());
            $there = $wound->reached($from);
            $on = $to === null ? [] : [Span::straight($end->at, $to)];
            $way = (new Curve([...$there, ...$on]))->lengthMm();
        }

        return Laid::through([...$there, ...$spans, ...$on]);
    }

    /**
     * The way to where it begins: straight, or, from how a wire stands beside it, round its edge and along its side.
     *
     * @return non-empty-list<Span>
     */
    private function reached(Vector|Frame $from): array
    {
        $start = $this->start();
        if ($from instanceof Vector) {
            return [Span::straight($from, $start->at)];
        }
        $edge = $start->at->minus($start->ahead->times($this->sideMm / 2));

        return [Span::along($from->at, $from->ahead, $edge, $start->ahead), Span::straight($edge, $start->at)];
    }

    public function lengthMm(): float
    {
        return $this->turns * hypot(2 * M_PI * $this->radiusMm + 2 * $this->sideMm, $this->pitchMm);
    }

    /** How the wire stands where it begins. */
    public function start(): Frame
    {
        return $this->at(0.0, 0.0, 0.0);
    }

    public function laid(Frame $from): array
    {
        $spans = $first = [];
        for ($turn = 0; $turn < $this->turns; $turn++) {
            if ($turn > 0 && $turn + 1 <= $this->turns && $this->host->isStraight()) {
                // Every turn lies as the first does.
                $on = $this->host->at($this->fromMm)->ahead->times($turn * $this->pitchMm);
                array_push($spans, ...array_map(fn (Span $span): Span => $span->moved($on), $first));
            } else {
                $round = $this->turn($turn, min(1.0, $this->turns - $turn));
                $first = $first === [] ? $round : $first;
                array_push($spans, ...$round);
            }
        }

        return [$spans, $this->at($this->turns, 0.0, $this->turns)];
    }

    /**
     * Along the outside to the near edge, round it, back along the inside, round the far edge, and to the middle.
     *
     * @param  float  $share  a half, or all of it
     * @return list<Span>
     */
    private function turn(int $turn, float $share): array
    {
        $half = $this->sideMm / 2;
        $stops = $half > 0.0
            ? [[0.0, $half], [0.5, $half], [0.5, -$half], [1.0, -$half], [1.0, 0.0]]
            : [[0.5, 0.0], [1.0, 0.0]];
        $round = 2 * M_PI * $this->radiusMm + 4 * $half;
        $spans = [];
        [$last, $before, $gone] = [$this->at($turn, 0.0, $turn), [0.0, 0.0], 0.0];
        foreach ($share < 1.0 ? [$stops[0]] : $stops as $stop) {
            $gone += $stop[0] === $before[0] ? abs($stop[1] - $before[1]) : M_PI * $this->radiusMm;
            $next = $this->at($turn + $stop[0], $stop[1], $turn + $gone / $round);
            $spans[] = $this->span($last, $next, $stop[0] !== $before[0]);
            [$last, $before] = [$next, $stop];
        }

        return $spans;
    }

    private function span(Frame $from, Frame $to, bool $isRound): Span
    {
        if (! $isRound) {
            return Span::straight($from->at, $to->at);
        }
        // Longer by as much as it climbs.
        $pull = self::HALF_PULL * $this->radiusMm * hypot(1.0, $this->pitchMm / (2 * M_PI * $this->radiusMm));

        return new Span(
            $from->at, $from->at->plus($from->ahead->times($pull)), $to->at->minus($to->ahead->times($pull)), $to->at,
        );
    }

    /** So many turns round it, so far towards its face from its middle, and so many turns along it. */
    private function at(float $round, float $towardsFaceMm, float $along): Frame
    {
        $host = $this->host->at($this->fromMm + $along * $this->pitchMm);
        $behind = $host->beside();
        $isOut = fmod($round + 0.25, 1.0) < 0.5;
        $side = $isOut ? 1.0 : -1.0;
        $place = $host->at->plus($host->towards->times($side * $this->radiusMm))->minus($behind->times($towardsFaceMm));
        $climb = $this->pitchMm / (2 * M_PI * $this->radiusMm);
        $ahead = $behind->times(-$side)->plus($host->ahead->times($climb))->unit();

        return new Frame($place, $ahead, $host->towards->times(-$side));
    }
}

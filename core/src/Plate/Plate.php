<?php

declare(strict_types=1);

namespace Hebra\Core\Plate;

use Closure;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Wire\Metal;

/**
 * A flat thing that is bought: its outline, how thick it is, its holes and rings, and, where it is a frame, how wide
 * its rim is. Millimetres about its middle, x right and y down as its face is seen.
 */
final readonly class Plate
{
    /** Of a soldered ring's inside: how thick its wire is [common practice]. */
    private const RING_WIRE = 0.35;

    private const LEAST_RING_WIRE_MM = 0.6;

    /**
     * @param  non-empty-list<array{float, float}>  $outline
     * @param  array<string, Hole>  $holes  by name
     * @param  float  $rimMm  0 where it is whole
     */
    public function __construct(
        public array $outline,
        public float $thickMm,
        public array $holes,
        public float $rimMm = 0.0,
        public ?Metal $metal = null,
        /** of what is no metal */
        public string $colour = '',
        /** @var list<array{float, float}> the inner edge of a frame that lies otherwise than it was told */
        private array $inner = [],
        /** @var list<Closure(): Handwork> what the hands do to it, said when it is asked */
        public array $handwork = [],
    ) {
    }

    /**
     * Something is done to it.
     *
     * @param  Closure(): Handwork  ...$handwork
     */
    public function by(Closure ...$handwork): self
    {
        return new self(
            $this->outline, $this->thickMm, $this->holes, $this->rimMm, $this->metal, $this->colour, $this->inner,
            array_values($handwork),
        );
    }

    public static function ringWireMm(float $insideMm): float
    {
        return max(self::LEAST_RING_WIRE_MM, round(self::RING_WIRE * $insideMm, 2));
    }

    /** The same turned about its middle, clockwise as it is seen. */
    public function turned(float $radians): self
    {
        return new self(
            array_map(fn (array $at): array => self::turnedPoint($at, $radians), $this->outline), $this->thickMm,
            array_map(fn (Hole $hole): Hole => $hole->turned($radians), $this->holes), $this->rimMm, $this->metal,
            $this->colour, array_map(fn (array $at): array => self::turnedPoint($at, $radians), $this->opening()),
        );
    }

    /**
     * @param  array{float, float}  $at
     * @return array{float, float}
     */
    private static function turnedPoint(array $at, float $radians): array
    {
        [$cos, $sin] = [cos($radians), sin($radians)];

        return [$at[0] * $cos - $at[1] * $sin, $at[0] * $sin + $at[1] * $cos];
    }

    /** The same elsewhere. */
    public function moved(float $xMm, float $yMm): self
    {
        return new self(
            array_map(fn (array $at): array => [$at[0] + $xMm, $at[1] + $yMm], $this->outline), $this->thickMm,
            array_map(fn (Hole $hole): Hole => $hole->moved($xMm, $yMm), $this->holes), $this->rimMm, $this->metal,
            $this->colour, array_map(fn (array $at): array => [$at[0] + $xMm, $at[1] + $yMm], $this->opening()),
        );
    }

    /** @return list<array{float, float}> the inner edge of a frame */
    public function opening(): array
    {
        if ($this->rimMm <= 0.0 || $this->inner !== []) {
            return $this->inner;
        }
        [$xs, $ys] = [array_column($this->outline, 0), array_column($this->outline, 1)];
        [$wide, $high] = [(max($xs) - min($xs)) / 2, (max($ys) - min($ys)) / 2];
        [$x, $y] = [max(0.05, 1 - $this->rimMm / $wide), max(0.05, 1 - $this->rimMm / $high)];
        [$acrossMm, $downMm] = [(max($xs) + min($xs)) / 2, (max($ys) + min($ys)) / 2];

        return array_map(fn (array $at): array => [
            $acrossMm + ($at[0] - $acrossMm) * $x, $downMm + ($at[1] - $downMm) * $y,
        ], $this->outline);
    }

    /** Its face without holes and opening, mm². */
    public function areaMm2(): float
    {
        $area = self::area($this->outline) - self::area($this->opening());
        foreach ($this->holes as $hole) {
            $area -= $hole->isRing ? 0.0 : M_PI * $hole->insideMm ** 2 / 4;
        }

        return max(0.0, $area);
    }

    /** What it is made of, with the wire of its rings, mm³. */
    public function volumeMm3(): float
    {
        $rings = 0.0;
        foreach ($this->holes as $hole) {
            $wire = self::ringWireMm($hole->insideMm);
            $rings += $hole->isRing ? M_PI * ($hole->insideMm + $wire) * M_PI * $wire ** 2 / 4 : 0.0;
        }

        return $this->areaMm2() * $this->thickMm + $rings;
    }

    /**
     * How much stands between a hole and the outside, where it is least; negative where it breaks through or lies
     * outside.
     */
    public function edgeMm(Hole $hole): float
    {
        $nearest = INF;
        foreach ($this->outline as $place => $from) {
            $to = $this->outline[($place + 1) % count($this->outline)];
            $nearest = min($nearest, self::fromLine([$hole->xMm, $hole->yMm], $from, $to));
        }

        return ($this->holds($hole->xMm, $hole->yMm) ? $nearest : -$nearest) - $hole->insideMm / 2;
    }

    /** Whether a point lies within its outline (crossings of a ray, Jordan). */
    public function holds(float $xMm, float $yMm): bool
    {
        $isIn = false;
        foreach ($this->outline as $place => [$x, $y]) {
            [$nextX, $nextY] = $this->outline[($place + 1) % count($this->outline)];
            if (($y > $yMm) !== ($nextY > $yMm) && $xMm < ($nextX - $x) * ($yMm - $y) / ($nextY - $y) + $x) {
                $isIn = ! $isIn;
            }
        }

        return $isIn;
    }

    /** @param  list<array{float, float}>  $points */
    private static function area(array $points): float
    {
        $twice = 0.0;
        foreach ($points as $place => [$x, $y]) {
            [$nextX, $nextY] = $points[($place + 1) % count($points)];
            $twice += $x * $nextY - $nextX * $y;
        }

        return abs($twice) / 2;
    }

    /**
     * @param  array{float, float}  $at
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function fromLine(array $at, array $from, array $to): float
    {
        [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
        $long = $dx ** 2 + $dy ** 2;
        $ahead = ($at[0] - $from[0]) * $dx + ($at[1] - $from[1]) * $dy;
        $share = $long < 1e-12 ? 0.0 : max(0.0, min(1.0, $ahead / $long));

        return hypot($at[0] - $from[0] - $share * $dx, $at[1] - $from[1] - $share * $dy);
    }
}

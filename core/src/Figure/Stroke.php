<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SectionKind;

/**
 * A stretch of drawn wire: a path of moves, lines and cubic curves in millimetres. Layer 0 lies behind, 1 in the plane,
 * 2 before it. Commands: ['M', x, y], ['L', x, y], ['C', x, y, x, y, x, y].
 *
 * @phpstan-type Command array{
 *     string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int,
 * }
 * @phpstan-type Path non-empty-list<Command>
 */
final class Stroke
{
    /** @var array{float, float, float, float}|null */
    private ?array $bounds = null;

    /** @param  Path  $path */
    public function __construct(
        public readonly array $path,
        public readonly float $wireMm,
        public readonly Metal $metal,
        public readonly int $layer,
        public readonly string $mark,
        /** whether its ends run on into another stroke, and are drawn without a rim of their own */
        public readonly bool $runsOn = false,
        /** within its layer, far to near: -1, 0, 1; what is flat lies below */
        public readonly int $rank = 0,
        /** what a closed path is filled with: `metal`, or a colour of beads; empty for wire */
        public readonly string $face = '',
        public readonly SectionKind $section = SectionKind::Round,
        /** a colour of beads, of what is no metal */
        public readonly string $colour = '',
    ) {
    }

    /** A stretch of straight line no longer than this looks bent when its ends are, mm. */
    private const FINE_MM = 2.5;

    public function aroundMm(): float
    {
        return $this->wireMm / 2;
    }

    /**
     * @return list<array{float, float}> where it begins and ends and the middles of its curves: one of a quarter turn
     *     at most reaches farthest there
     */
    public function places(): array
    {
        [$places, $lastX, $lastY] = [[], 0.0, 0.0];
        foreach ($this->path as $command) {
            [$x, $y] = self::end($command);
            if ($command[0] === 'C') {
                $places[] = [
                    ($lastX + 3 * $command[1] + 3 * ($command[3] ?? 0) + $x) / 8,
                    ($lastY + 3 * $command[2] + 3 * ($command[4] ?? 0) + $y) / 8,
                ];
            }
            $places[] = [$x, $y];
            [$lastX, $lastY] = [$x, $y];
        }

        return $places;
    }

    /** @return array{float, float, float, float} how far its middle line reaches: left, top, right, bottom */
    public function bounds(): array
    {
        return $this->bounds ??= $this->reaching();
    }

    /** @return array{float, float, float, float} */
    private function reaching(): array
    {
        [$left, $top, $right, $bottom] = [INF, INF, -INF, -INF];
        [$lastX, $lastY] = [0.0, 0.0];
        // The same places, told number by number: this is asked of every stroke of a drawing.
        foreach ($this->path as $command) {
            [$x, $y] = [$command[1], $command[2]];
            if ($command[0] === 'C') {
                [$endX, $endY] = [$command[5] ?? 0, $command[6] ?? 0];
                $midX = ($lastX + 3 * ($x + ($command[3] ?? 0)) + $endX) / 8;
                $midY = ($lastY + 3 * ($y + ($command[4] ?? 0)) + $endY) / 8;
                $midX < $left && $left = $midX;
                $midX > $right && $right = $midX;
                $midY < $top && $top = $midY;
                $midY > $bottom && $bottom = $midY;
                [$x, $y] = [$endX, $endY];
            }
            $x < $left && $left = $x;
            $x > $right && $right = $x;
            $y < $top && $top = $y;
            $y > $bottom && $bottom = $y;
            [$lastX, $lastY] = [$x, $y];
        }

        return [(float) $left, (float) $top, (float) $right, (float) $bottom];
    }

    /** Bent to a part of a circle: what stood on the middle line lies on it. */
    public function bent(Arc $arc): self
    {
        $path = [];
        [$lastX, $lastY] = [0.0, 0.0];
        foreach ($this->path as $command) {
            if ($command[0] === 'C') {
                $path[] = self::each($command, fn (float $x, float $y): array => $arc->at($x, $y));
                [$lastX, $lastY] = self::end($command);

                continue;
            }
            [$x, $y] = self::end($command);
            $steps = $command[0] === 'L' ? max(1, (int) ceil(abs($y - $lastY) / self::FINE_MM)) : 1;
            for ($step = 1; $step <= $steps; $step++) {
                [$atX, $atY] = $arc->at(
                    $lastX + ($x - $lastX) * $step / $steps, $lastY + ($y - $lastY) * $step / $steps,
                );
                $path[] = [$command[0], round($atX, 4), round($atY, 4)];
            }
            [$lastX, $lastY] = [$x, $y];
        }
        /** @var Path $path */

        return new self(
            $path, $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn, $this->rank, $this->face,
            $this->section, $this->colour,
        );
    }

    public function marked(string $mark): self
    {
        return new self(
            $this->path, $this->wireMm, $this->metal, $this->layer, $mark, $this->runsOn, $this->rank, $this->face,
            $this->section, $this->colour,
        );
    }

    /** So much farther on. */
    public function moved(float $xMm, float $yMm): self
    {
        return new self(
            self::shifted($this->path, $xMm, $yMm), $this->wireMm, $this->metal, $this->layer, $this->mark,
            $this->runsOn, $this->rank, $this->face, $this->section, $this->colour,
        );
    }

    public function posed(Pose $pose): self
    {
        return new self(
            $pose->path($this->path), $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn,
            $this->rank, $this->face, $this->section, $this->colour,
        );
    }

    /**
     * A cubic curve whose points are each moved.
     *
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $command
     * @param  \Closure(float, float): array{float, float}  $to
     * @return array{string, float, float, float, float, float, float}
     */
    private static function each(array $command, \Closure $to): array
    {
        $points = [];
        foreach ([1, 3, 5] as $at) {
            [$x, $y] = $to((float) ($command[$at] ?? 0), (float) ($command[$at + 1] ?? 0));
            array_push($points, round($x, 4), round($y, 4));
        }

        return ['C', ...$points];
    }

    /**
     * A path so much farther on.
     *
     * @param  Path  $path
     * @return Path
     */
    public static function shifted(array $path, float $xMm, float $yMm): array
    {
        foreach ($path as $index => $command) {
            // Told number by number: this is done for every stroke of what repeats.
            $path[$index] = $command[0] === 'C' ? [
                'C', round($command[1] + $xMm, 4), round($command[2] + $yMm, 4),
                round(($command[3] ?? 0) + $xMm, 4), round(($command[4] ?? 0) + $yMm, 4),
                round(($command[5] ?? 0) + $xMm, 4), round(($command[6] ?? 0) + $yMm, 4),
            ] : [$command[0], round($command[1] + $xMm, 4), round($command[2] + $yMm, 4)];
        }

        return $path;
    }

    /**
     * Where a command ends.
     *
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $command
     * @return array{float, float}
     */
    public static function end(array $command): array
    {
        [$x, $y] = $command[0] === 'C' ? [5, 6] : [1, 2];

        return [(float) ($command[$x] ?? 0), (float) ($command[$y] ?? 0)];
    }
}

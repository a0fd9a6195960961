<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wire\Metal;

/**
 * A stretch of drawn wire: a path of moves, lines and arcs in millimetres. Layer 0 lies behind, 1 in the plane, 2
 * before it. Commands: ['M', x, y], ['L', x, y], ['C', x, y, x, y, x, y] (a cubic curve), ['A', rx, ry, sweep (0 or
 * 1), x, y, degrees its ellipse is turned]; arcs are at most half a turn.
 */
final readonly class Stroke
{
    /** @param  non-empty-list<array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}>  $path */
    public function __construct(
        public array $path,
        public float $wireMm,
        public Metal $metal,
        public int $layer,
        public string $mark,
        /** whether its ends run on into another stroke, and are drawn without a rim of their own */
        public bool $runsOn = false,
        /** within its layer, far to near: -1, 0, 1 */
        public int $rank = 0,
    ) {
    }

    /** A stretch of straight line no longer than this looks bent when its ends are, mm. */
    private const FINE_MM = 2.5;

    /** Bent to a part of a circle: what stood on the middle line lies on it. */
    public function bent(Arc $arc): self
    {
        $path = [];
        [$lastX, $lastY] = [0.0, 0.0];
        foreach ($this->path as $command) {
            if ($command[0] === 'C') {
                $path[] = self::moved($command, fn (float $x, float $y): array => $arc->at($x, $y));
                [$lastX, $lastY] = self::end($command);

                continue;
            }
            $isArc = $command[0] === 'A';
            [$x, $y] = [(float) ($command[$isArc ? 4 : 1] ?? 0), (float) ($command[$isArc ? 5 : 2] ?? 0)];
            $steps = $command[0] === 'L' ? max(1, (int) ceil(abs($y - $lastY) / self::FINE_MM)) : 1;
            for ($step = 1; $step <= $steps; $step++) {
                [$atX, $atY] = $arc->at($lastX + ($x - $lastX) * $step / $steps, $lastY + ($y - $lastY) * $step / $steps);
                $path[] = $isArc
                    ? [
                        'A',
                        $command[1],
                        $command[2],
                        $command[3] ?? 0,
                        round($atX, 4),
                        round($atY, 4),
                        round($arc->degrees(($lastY + $y) / 2), 2),
                    ]
                    : [$command[0], round($atX, 4), round($atY, 4)];
            }
            [$lastX, $lastY] = [$x, $y];
        }
        /** @var non-empty-list<array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}> $path */

        return new self($path, $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn, $this->rank);
    }

    /** Its width seen from aside. */
    public function narrowed(float $share): self
    {
        $path = array_map(fn (array $command): array => match ($command[0]) {
            'A' => [
                'A', max($this->wireMm * 0.55, $share * $command[1]), $command[2], $command[3] ?? 0,
                $share * ($command[4] ?? 0), $command[5] ?? 0,
            ],
            'C' => self::moved($command, fn (float $x, float $y): array => [$share * $x, $y]),
            default => [$command[0], $share * $command[1], $command[2]],
        }, $this->path);

        return new self($path, $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn, $this->rank);
    }

    public function posed(Pose $pose): self
    {
        $path = $this->path;
        foreach ($path as $index => $command) {
            if ($command[0] === 'C') {
                $path[$index] = self::moved($command, fn (float $x, float $y): array => $pose->at($x, $y));

                continue;
            }
            if ($command[0] !== 'A') {
                [$x, $y] = $pose->at((float) $command[1], (float) $command[2]);
                $path[$index] = [$command[0], round($x, 4), round($y, 4)];

                continue;
            }
            [$x, $y] = $pose->at((float) ($command[4] ?? 0), (float) ($command[5] ?? 0));
            $path[$index] = ['A', $command[1], $command[2], $command[3] ?? 0, round($x, 4), round($y, 4)];
            if ($command[1] !== $command[2] && ($pose->degrees !== 0.0 || isset($command[6]))) {
                $path[$index][6] = round(($command[6] ?? 0.0) + $pose->degrees, 2);
            }
        }

        return new self($path, $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn, $this->rank);
    }

    /**
     * A cubic curve whose points are each moved.
     *
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $command
     * @param  \Closure(float, float): array{float, float}  $to
     * @return array{string, float, float, float, float, float, float}
     */
    private static function moved(array $command, \Closure $to): array
    {
        $points = [];
        foreach ([1, 3, 5] as $at) {
            [$x, $y] = $to((float) ($command[$at] ?? 0), (float) ($command[$at + 1] ?? 0));
            array_push($points, round($x, 4), round($y, 4));
        }

        return ['C', ...$points];
    }

    /**
     * Where a command ends.
     *
     * @param  array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}  $command
     * @return array{float, float}
     */
    public static function end(array $command): array
    {
        [$x, $y] = match ($command[0]) {
            'A' => [4, 5],
            'C' => [5, 6],
            default => [1, 2],
        };

        return [(float) ($command[$x] ?? 0), (float) ($command[$y] ?? 0)];
    }
}

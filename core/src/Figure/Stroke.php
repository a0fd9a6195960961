<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wire\Metal;

/**
 * A stretch of drawn wire: a path of moves, lines and arcs in millimetres. Layer 0 lies behind, 1 in the plane, 2 before it.
 * Commands: ['M', x, y], ['L', x, y], ['A', rx, ry, sweep (0 or 1), x, y, degrees its ellipse is turned]; arcs are at most half a turn.
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
    ) {
    }

    public function posed(Pose $pose): self
    {
        $path = $this->path;
        foreach ($path as $index => $command) {
            if ($command[0] !== 'A') {
                [$x, $y] = $pose->at((float) $command[1], (float) $command[2]);
                $path[$index] = [$command[0], round($x, 4), round($y, 4)];

                continue;
            }
            [$x, $y] = $pose->at((float) ($command[4] ?? 0), (float) ($command[5] ?? 0));
            $path[$index] = ['A', $command[1], $command[2], $command[3] ?? 0, round($x, 4), round($y, 4)];
            if ($pose->degrees !== 0.0 && $command[1] !== $command[2]) {
                $path[$index][6] = round(($command[6] ?? 0.0) + $pose->degrees, 2);
            }
        }

        return new self($path, $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn);
    }
}

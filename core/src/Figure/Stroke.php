<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Wire\Metal;

/**
 * A stretch of drawn wire: a path of moves, lines and arcs in millimetres. Layer 0 lies behind, 1 in the plane, 2 before it.
 * Commands: ['M', x, y], ['L', x, y], ['A', rx, ry, sweep (0 or 1), x, y]; arcs are at most half a turn.
 */
final readonly class Stroke
{
    /** @param  non-empty-list<array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int}>  $path */
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

    public function shifted(float $xMm): self
    {
        $path = array_map(function (array $command) use ($xMm): array {
            $at = $command[0] === 'A' ? 4 : 1;
            $command[$at] = ($command[$at] ?? 0) + $xMm;

            return $command;
        }, $this->path);

        return new self($path, $this->wireMm, $this->metal, $this->layer, $this->mark, $this->runsOn);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;

/**
 * A part of a circle towards the side the wire bends to, away from it where the angle is less than 0: radius to the
 * wire's middle in millimetres, radians. Length: radius · angle (geometry).
 */
final readonly class Arc implements Shape
{
    public function __construct(private float $radiusMm, private float $angle)
    {
    }

    public static function turns(float $insideMm, float $wireMm, float $turns): self
    {
        return new self(($insideMm + $wireMm) / 2, 2 * M_PI * $turns);
    }

    public function lengthMm(): float
    {
        return $this->radiusMm * abs($this->angle);
    }

    public function laid(Frame $from): array
    {
        $spans = [];
        $side = $this->angle < 0 ? -1.0 : 1.0;
        $pieces = max(1, (int) ceil(abs($this->angle) / (M_PI / 2) - 1e-9));
        $step = $this->angle / $pieces;
        $pull = 4 / 3 * tan(abs($step) / 4) * $this->radiusMm;
        $centre = $from->at->plus($from->towards->times($side * $this->radiusMm));
        $now = $from;
        for ($piece = 1; $piece <= $pieces; $piece++) {
            $turned = $from->bent($piece * $step);
            $next = $turned->in($centre->minus($turned->towards->times($side * $this->radiusMm)));
            $spans[] = new Span(
                $now->at, $now->at->plus($now->ahead->times($pull)), $next->at->minus($next->ahead->times($pull)),
                $next->at,
            );
            $now = $next;
        }

        return [$spans, $now];
    }
}

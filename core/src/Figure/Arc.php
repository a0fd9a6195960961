<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/**
 * A line of a length bent to a part of a circle: it starts at the origin, its ends stand straight one below the other,
 * and it turns clockwise by so many degrees on its way (anticlockwise: less than 0). Millimetres, y downwards.
 */
final readonly class Arc
{
    private float $turn;

    public function __construct(private float $lengthMm, float $degrees)
    {
        $this->turn = deg2rad($degrees);
    }

    private function isStraight(): bool
    {
        return abs($this->turn) < 1e-6;
    }

    /** From end to end. */
    public function chordMm(): float
    {
        return $this->isStraight() ? $this->lengthMm : 2 * $this->lengthMm / $this->turn * sin($this->turn / 2);
    }

    /** @return array{float, float} where a point lies that stood so far down the line and so far to its right */
    public function at(float $xMm, float $yMm): array
    {
        if ($this->isStraight()) {
            return [$xMm, $yMm];
        }
        $radius = $this->lengthMm / $this->turn;
        $angle = $this->turn * ($yMm / $this->lengthMm - 0.5);
        // Heading clockwise from straight down; what was to the right is outside of a clockwise turn.
        $out = $radius + $xMm;

        return [
            $out * cos($angle) - $radius * cos($this->turn / 2),
            $out * sin($angle) + $radius * sin($this->turn / 2),
        ];
    }

    /** By how much what stands there is turned, degrees clockwise. */
    public function degrees(float $yMm): float
    {
        return rad2deg($this->turn * ($yMm / $this->lengthMm - 0.5));
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** A circle on which a line of a length is laid, clockwise from its top: how a strand is worn. Millimetres. */
final readonly class Ring
{
    private float $radiusMm;

    public function __construct(private float $lengthMm)
    {
        $this->radiusMm = $lengthMm / (2 * M_PI);
    }

    /** @return array{float, float} where a point lies that stood so far down the line and so far to its right */
    public function at(float $xMm, float $yMm): array
    {
        $turn = 2 * M_PI * $yMm / $this->lengthMm;

        return [($this->radiusMm + $xMm) * sin($turn), $this->radiusMm - ($this->radiusMm + $xMm) * cos($turn)];
    }

    /** By how much what stands there is turned, degrees clockwise. */
    public function degrees(float $yMm): float
    {
        return 360.0 * $yMm / $this->lengthMm - 90.0;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

/** How a part lies in the drawing: turned about the origin, degrees clockwise, then moved, millimetres. */
final readonly class Pose
{
    private float $cos;

    private float $sin;

    public function __construct(public float $degrees = 0.0, private float $xMm = 0.0, private float $yMm = 0.0)
    {
        $this->cos = cos(deg2rad($degrees));
        $this->sin = sin(deg2rad($degrees));
    }

    public function isNone(): bool
    {
        return $this->degrees === 0.0 && $this->xMm === 0.0 && $this->yMm === 0.0;
    }

    /** The pose of what hangs at a point of this one, its middle line through that point, turned about it. */
    public function turned(float $degrees, float $xMm, float $yMm): self
    {
        if ($degrees === 0.0 && $xMm === 0.0) {
            return $this;
        }
        $by = new self($degrees);
        [$cx, $cy] = $by->at(0.0, $yMm);
        [$x, $y] = $this->at($xMm - $cx, $yMm - $cy);

        return new self($this->degrees + $degrees, $x, $y);
    }

    /** @return array{float, float} where a point of the part lies */
    public function at(float $xMm, float $yMm): array
    {
        return [$this->cos * $xMm - $this->sin * $yMm + $this->xMm, $this->sin * $xMm + $this->cos * $yMm + $this->yMm];
    }
}

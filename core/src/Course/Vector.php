<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** A place or a direction in a part: millimetres, x to the right, y downwards, z towards the viewer. */
final readonly class Vector
{
    public function __construct(public float $x, public float $y, public float $z = 0.0)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->x + $other->x, $this->y + $other->y, $this->z + $other->z);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y, $this->z - $other->z);
    }

    public function times(float $share): self
    {
        return new self($share * $this->x, $share * $this->y, $share * $this->z);
    }

    /** The place such a share of the way to another. */
    public function towards(self $other, float $share): self
    {
        $rest = 1 - $share;

        return new self(
            $rest * $this->x + $share * $other->x, $rest * $this->y + $share * $other->y,
            $rest * $this->z + $share * $other->z,
        );
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y + $this->z * $other->z;
    }

    public function cross(self $other): self
    {
        return new self(
            $this->y * $other->z - $this->z * $other->y,
            $this->z * $other->x - $this->x * $other->z,
            $this->x * $other->y - $this->y * $other->x,
        );
    }

    public function lengthMm(): float
    {
        return sqrt($this->x * $this->x + $this->y * $this->y + $this->z * $this->z);
    }

    /** The same direction, one millimetre long; what has no length stays as it is. */
    public function unit(): self
    {
        $length = $this->lengthMm();

        return $length < 1e-12 ? $this : $this->times(1 / $length);
    }
}

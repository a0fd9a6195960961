<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * Where a wire is and how it stands there: its place, the direction it goes on in, and the side it bends to.
 *
 * Invariants: both directions are one millimetre long and square to each other.
 */
final readonly class Frame
{
    public function __construct(public Vector $at, public Vector $ahead, public Vector $towards)
    {
    }

    /** Going down the page from a place, bending to the right where it bends. */
    public static function down(float $yMm, float $xMm = 0.0): self
    {
        return new self(new Vector($xMm, $yMm), new Vector(0.0, 1.0), new Vector(1.0, 0.0));
    }

    /** Going to the right, bending downwards where it bends. */
    public static function right(float $xMm, float $yMm): self
    {
        return new self(new Vector($xMm, $yMm), new Vector(1.0, 0.0), new Vector(0.0, 1.0));
    }

    /** Going on in a direction, bending as nearly to a side as is square to that. */
    public static function turned(Vector $at, Vector $ahead, Vector $side): self
    {
        return new self($at, $ahead, $side->minus($ahead->times($side->dot($ahead)))->unit());
    }

    /** Square to both. */
    public function beside(): Vector
    {
        return $this->ahead->cross($this->towards);
    }

    /** Facing back, bending to the same side. */
    public function back(): self
    {
        return new self($this->at, $this->ahead->times(-1.0), $this->towards);
    }

    public function on(float $millimetres): self
    {
        return new self($this->at->plus($this->ahead->times($millimetres)), $this->ahead, $this->towards);
    }

    /** In another place, standing alike. */
    public function in(Vector $at): self
    {
        return new self($at, $this->ahead, $this->towards);
    }

    /** The side it bends to turned about the wire, radians. */
    public function rolled(float $angle): self
    {
        return $angle === 0.0
            ? $this
            : new self($this->at, $this->ahead, self::between($this->towards, $this->beside(), $angle));
    }

    /** Its direction turned towards the side it bends to, radians, on the spot. */
    public function bent(float $angle): self
    {
        return new self(
            $this->at,
            self::between($this->ahead, $this->towards, $angle),
            self::between($this->towards, $this->ahead->times(-1.0), $angle),
        );
    }

    /** Its direction turned towards what is square to both, radians, on the spot. */
    public function tilted(float $angle): self
    {
        return new self($this->at, self::between($this->ahead, $this->beside(), $angle), $this->towards);
    }

    private static function between(Vector $one, Vector $other, float $angle): Vector
    {
        return $one->times(cos($angle))->plus($other->times(sin($angle)));
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Fit\Frame as Outline;

/**
 * Once round a frame from its top, to the right and down, back to its top: the wire comes in level, is bent up at both
 * ends, and the frame lies on the side it bends to. Size in millimetres, see Frame.
 */
final readonly class Outlined implements Shape
{
    public function __construct(private Outline $outline, private float $sizeMm)
    {
    }

    public function lengthMm(): float
    {
        return $this->sizeMm * $this->outline->outline();
    }

    public function laid(Frame $from): array
    {
        return $this->shape()->laid($from);
    }

    private function shape(): Together
    {
        $side = new Straight($this->sizeMm);
        // A drop's tangents leave its apex at sixty degrees; its round is a circle of its width below them.
        $tangent = new Straight($this->sizeMm * sqrt(3) / 2);

        return match ($this->outline) {
            Outline::Hoop => new Together(new Arc($this->sizeMm / 2, 2 * M_PI)),
            Outline::Square => new Together(
                new Corner(45.0), $side, new Corner(90.0), $side, new Corner(90.0), $side, new Corner(90.0), $side,
                new Corner(45.0),
            ),
            Outline::Triangle => new Together(
                new Corner(60.0), $side, new Corner(120.0), $side, new Corner(120.0), $side, new Corner(60.0),
            ),
            Outline::Drop => new Together(
                new Corner(60.0), $tangent, new Arc($this->sizeMm / 2, 4 / 3 * M_PI), $tangent, new Corner(60.0),
            ),
        };
    }
}

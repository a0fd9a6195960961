<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;

/** Wire run together to a ball in the flame, of a diameter in millimetres: it lies in its middle. */
final readonly class Lump implements Shape
{
    /** Long enough to be drawn at all, mm. */
    private const DOT_MM = 0.02;

    public function __construct(private float $ballMm)
    {
    }

    public function lengthMm(): float
    {
        return self::DOT_MM;
    }

    public function laid(Frame $from): array
    {
        $middle = $from->on($this->ballMm / 2);
        $end = $middle->on(self::DOT_MM);

        return [[Span::straight($middle->at, $end->at)], $end];
    }
}

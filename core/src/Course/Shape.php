<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/** How a stretch of wire lies: from a frame on, away from where its course is anchored. */
interface Shape
{
    /** How long it is, mm, by the rule that the trade reckons with. */
    public function lengthMm(): float;

    /** @return array{list<Span>, Frame} how it lies, and how the wire stands at its end */
    public function laid(Frame $from): array;
}

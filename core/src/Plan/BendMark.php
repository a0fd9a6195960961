<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** Where a bend is marked, in millimetres from the start of the cut. */
final readonly class BendMark
{
    public function __construct(public float $atMm, public string $words)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/** So many cuts of one length, mm. Invariants: more than 0 long, at least one. */
final readonly class CutKind
{
    public function __construct(public string $label, public float $lengthMm, public int $count)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\WireRow;
use Hebra\Core\Wire\WireSize;

/** A wire of the piece in the row of all: what it passes, what it takes, where that comes from. */
final readonly class WireUse
{
    /** @param  WireSize|null  $passing  the thickest that passes, where this one does not */
    public function __construct(
        public string $role,
        public string $words,
        public WireRow $row,
        public float $takesMm,
        public ?CutSource $from,
        public ?WireSize $passing,
    ) {
    }

    public function isTight(): bool
    {
        return $this->row->marginMm !== null && $this->row->marginMm < -1e-6;
    }
}

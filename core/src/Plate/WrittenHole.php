<?php

declare(strict_types=1);

namespace Hebra\Core\Plate;

/** A hole as it was written down, its place where one was given. Millimetres. */
final readonly class WrittenHole
{
    /** @param  array{float, float}|null  $at  right and down from the middle */
    public function __construct(
        public string $name,
        public float $insideMm,
        public bool $isRing,
        public bool $isAcross,
        public ?array $at,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** One made part, repeats and groups unfolded: its name, and the instance and eye it hangs in. */
final readonly class Instance
{
    public function __construct(
        public PartPlan $part,
        public string $name,
        public ?string $above,
        public string $eye,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * What a technique wants of its wire, against its usual size in half-hard copper: how well it must hold its shape once
 * made, how much effort hands bear while it is made [memory], whether it is hammered, and whether spring wire is rolled
 * to its eyes as it comes, as memory wire is [common practice].
 */
final readonly class Wants
{
    public function __construct(
        public float $holds = 0.45,
        public float $effort = 0.7,
        public bool $isHammered = false,
        public bool $isRolledHard = false,
    ) {
    }
}

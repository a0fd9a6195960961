<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/**
 * What a technique wants of its wire, against its usual size in half-hard copper: how well it must hold its shape once made,
 * how much effort hands bear while it is made [memory], how often it goes through each bead, and whether it is hammered.
 */
final readonly class Wants
{
    /** @param  positive-int  $passes */
    public function __construct(
        public float $holds = 0.45,
        public float $effort = 0.7,
        public int $passes = 1,
        public bool $isHammered = false,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Scale;

/** What a scale shows: milligrams after its tare, whether it stands still, and whether it answers at all. */
final readonly class Reading
{
    public function __construct(public int $milligrams, public bool $isSettled, public bool $isConnected)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** The lower end of a made part that closes in an eye elsewhere. */
final readonly class Closing
{
    public function __construct(public string $instance, public string $to, public string $eye)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** A way out of a warning: what the button says and the change it makes, as the change reader takes it. */
final readonly class Way
{
    /** @param  array<string, string>  $change */
    public function __construct(public string $words, public array $change)
    {
    }
}

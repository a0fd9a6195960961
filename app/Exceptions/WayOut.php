<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A way out of a refusal: fields that are sent again with the form. */
final readonly class WayOut
{
    /** @param  array<string, string>  $fields */
    public function __construct(public string $words, public array $fields)
    {
    }
}

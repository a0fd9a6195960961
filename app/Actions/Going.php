<?php

declare(strict_types=1);

namespace App\Actions;

use Hebra\Core\Market\Place;

/** Where a finished piece goes, for how much where it is sold, and a word about it. */
final readonly class Going
{
    private function __construct(public Place $place, public ?int $cents, public string $words)
    {
    }

    public static function to(Place $place, ?int $cents = null, string $words = ''): self
    {
        return new self($place, $place === Place::Sold ? $cents : null, $words);
    }
}

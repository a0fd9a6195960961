<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\Several;

/** A way out of what a check says: a change of the document, and what it does in words. */
final readonly class Way
{
    public function __construct(public string $words, public Change $change)
    {
    }

    /** @param  non-empty-list<Change>  $changes  that belong together */
    public static function all(string $words, array $changes): self
    {
        return new self($words, count($changes) === 1 ? $changes[0] : new Several($changes, $words));
    }
}

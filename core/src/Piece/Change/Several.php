<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece;

/** Several changes as one: all of them or none, and one undo takes them back. */
final readonly class Several implements Change
{
    /** @param  list<Change>  $changes */
    public function __construct(public array $changes, public string $words)
    {
    }

    public function apply(Piece $piece): Piece
    {
        foreach ($this->changes as $change) {
            $piece = $change->apply($piece);
        }

        return $piece;
    }

    public function words(Piece $before): string
    {
        return $this->words;
    }
}

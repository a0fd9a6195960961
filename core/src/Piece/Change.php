<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/** One change to a piece. It gives a new piece or refuses; the old one is never touched. */
interface Change
{
    /** @throws \Hebra\Core\Problem if it cannot be done to this piece */
    public function apply(Piece $piece): Piece;

    /** What it did, for the history: `22 AWG for the links`. */
    public function words(Piece $before): string;
}

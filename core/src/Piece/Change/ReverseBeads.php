<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Turns the beads of a part end for end. */
final readonly class ReverseBeads implements Change
{
    public function __construct(public PartId $part)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);

        return $piece->withPart($part->withBeads(array_reverse($part->beads)));
    }

    public function words(Piece $before): string
    {
        return 'Turned the beads end for end';
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Puts a part in a group with the one above it, to repeat together. */
final readonly class JoinGroup implements Change
{
    public function __construct(public PartId $part)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $at = $piece->indexOf($this->part);
        $at > 0 || throw InvalidPiece::nothingAbove();
        $parts = $piece->parts;
        $group = $parts[$at - 1]->group !== '' ? $parts[$at - 1]->group : $piece->nextGroup();
        $parts[$at - 1] = $parts[$at - 1]->inGroup($group);
        $parts[$at] = $parts[$at]->inGroup($group);

        return $piece->withParts(Settled::parts(array_values($parts)));
    }

    public function words(Piece $before): string
    {
        return 'Grouped';
    }
}

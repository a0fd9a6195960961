<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Repeats the beads of a part backwards about the last of them, so that both halves match. */
final readonly class MirrorBeads implements Change
{
    public function __construct(public PartId $part)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);

        return $piece->withPart(
            $part->withBeads([...$part->beads, ...array_reverse(array_slice($part->beads, 0, -1))]),
        );
    }

    public function words(Piece $before): string
    {
        return 'Mirrored the beads';
    }
}

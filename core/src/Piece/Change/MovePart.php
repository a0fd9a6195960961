<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Moves a part up or down the line; at the end of the line it stays. */
final readonly class MovePart implements Change
{
    public function __construct(public PartId $part, public int $by)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $from = $piece->indexOf($this->part);
        $parts = $piece->parts;
        $moved = array_splice($parts, $from, 1);
        array_splice($parts, max(0, min(count($parts), $from + $this->by)), 0, $moved);

        return $piece->withParts(Settled::parts($parts));
    }

    public function words(Piece $before): string
    {
        return 'Moved a '.$before->part($this->part)->label();
    }
}

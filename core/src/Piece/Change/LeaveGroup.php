<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Takes a part out of its group; what stood below it there ends with it. */
final readonly class LeaveGroup implements Change
{
    public function __construct(public PartId $part)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $parts = $piece->parts;
        $at = $piece->indexOf($this->part);
        $parts[$at] = $parts[$at]->inGroup('');

        return $piece->withParts(Settled::parts(array_values($parts)));
    }

    public function words(Piece $before): string
    {
        return 'Taken out of its group';
    }
}

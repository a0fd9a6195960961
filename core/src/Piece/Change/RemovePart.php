<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Takes a part off. */
final readonly class RemovePart implements Change
{
    public function __construct(public PartId $part)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $parts = $piece->parts;
        array_splice($parts, $piece->indexOf($this->part), 1);

        return $piece->withParts(Settled::parts($parts));
    }

    public function words(Piece $before): string
    {
        return 'Took off a '.$before->part($this->part)->label();
    }
}

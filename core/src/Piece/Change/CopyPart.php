<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** The same part once more, below it, to be changed on its own. */
final readonly class CopyPart implements Change
{
    public function __construct(public PartId $part)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $at = $piece->indexOf($this->part);
        $parts = $piece->parts;
        array_splice($parts, $at + 1, 0, [Beside::hung($parts, $at + 1, $parts[$at]->withId($piece->nextPartId()))]);

        return $piece->withParts(Settled::parts($parts));
    }

    public function words(Piece $before): string
    {
        return 'Copied a '.$before->part($this->part)->label();
    }
}

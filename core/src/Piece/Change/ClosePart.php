<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/**
 * What the lower end of a part closes in besides: an eye of another part, so that strands meet and rings of parts
 * close; nothing said, in none.
 */
final readonly class ClosePart implements Change
{
    public function __construct(public PartId $part, public ?EyeRef $to)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return $piece->withPart($piece->part($this->part)->closedIn($this->to));
    }

    public function words(Piece $before): string
    {
        return ($this->to === null ? 'Opened the end of the ' : 'Closed the end of the ').$before->part(
            $this->part,
        )->label();
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Where a part hangs: in an eye of a part above it, or, with nothing said, in the one before it. */
final readonly class HangPart implements Change
{
    public function __construct(public PartId $part, public ?EyeRef $on)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return $piece->withPart($piece->part($this->part)->hungOn($this->on));
    }

    public function words(Piece $before): string
    {
        return 'Hung '.$before->part($this->part)->label().' elsewhere';
    }
}

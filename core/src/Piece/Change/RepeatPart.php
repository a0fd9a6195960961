<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Count;

/** How often a part follows itself: a count, or one more or fewer. */
final readonly class RepeatPart implements Change
{
    public function __construct(public PartId $part, public int $count, public bool $relative = false)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $count = Count::within(
            $this->relative ? $part->repeat + $this->count : $this->count,
            'repeat',
            1,
            Piece::MOST_PARTS,
        );

        return $piece->withPart($part->repeated($count));
    }

    public function words(Piece $before): string
    {
        return 'Repeat changed';
    }
}

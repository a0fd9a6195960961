<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Count;

/** How many of a bead in a row: a count, or one more or fewer. One fewer than one takes it off. */
final readonly class CountBead implements Change
{
    public function __construct(public PartId $part, public int $at, public int $count, public bool $relative = false)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $run = Runs::at($part, $this->at);
        if ($this->relative && $run->count + $this->count === 0) {
            return (new RemoveBead($this->part, $this->at))->apply($piece);
        }
        $count = Count::within($this->relative ? $run->count + $this->count : $this->count, 'count', 1, BeadRun::MOST);
        $runs = $part->beads;
        $runs[$this->at] = $run->times($count);

        return $piece->withPart($part->withBeads(array_values($runs)));
    }

    public function words(Piece $before): string
    {
        return 'Count changed';
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Takes a run of beads off. */
final readonly class RemoveBead implements Change
{
    public function __construct(public PartId $part, public int $at)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        Runs::at($part, $this->at);
        $runs = $part->beads;
        array_splice($runs, $this->at, 1);

        return $piece->withPart($part->withBeads(Runs::joined($runs)));
    }

    public function words(Piece $before): string
    {
        return 'Took off '.$before->beads[Runs::at($before->part($this->part), $this->at)->bead]->words();
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Another bead in the same place, as many of it. */
final readonly class SwapBead implements Change
{
    public function __construct(public PartId $part, public int $at, public Bead|string $bead)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $run = Runs::at($part, $this->at);
        [$key, $more] = AddBead::keyFor($piece, $this->bead);
        $runs = $part->beads;
        $runs[$this->at] = new BeadRun($key, $run->count);

        return $piece->withPart($part->withBeads(Runs::joined(array_values($runs))), $more);
    }

    public function words(Piece $before): string
    {
        return 'Swapped a bead';
    }
}

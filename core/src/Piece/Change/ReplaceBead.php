<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Another bead wherever the piece has one like the one there, as many of it in each place. */
final readonly class ReplaceBead implements Change
{
    public function __construct(public PartId $part, public int $at, public Bead|string $bead)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $alike = Runs::at($piece->part($this->part), $this->at)->bead;
        [$key, $more] = AddBead::keyFor($piece, $this->bead);
        $replaced = fn (BeadRun $run): BeadRun => $run->bead === $alike ? new BeadRun($key, $run->count) : $run;
        $parts = array_map(function (Part $part) use ($replaced): Part {
            $runs = array_map($replaced, $part->beads);

            return $runs == $part->beads ? $part : $part->withBeads(Runs::joined($runs));
        }, $piece->parts);

        return Piece::of(
            $piece->name, $piece->note, $piece->makes, $piece->wires, $piece->beads + $more, $parts, $piece->fit,
            $piece->groups,
        );
    }

    public function words(Piece $before): string
    {
        return 'Swapped all alike';
    }
}

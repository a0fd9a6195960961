<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Takes a run of beads off its place and puts it between others, on the same wire or on another one. */
final readonly class CarryBead implements Change
{
    /** @param  int  $place  before which run of its new part it stands, as they are before it is taken off */
    public function __construct(public PartId $part, public int $at, public PartId $to, public int $place)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $run = Runs::at($piece->part($this->part), $this->at);
        $target = $piece->part($this->to);
        $target->technique()->takesBeads() || throw InvalidPiece::takesNoBeads($target->label());
        $place = $this->placeWithout($piece);

        return Runs::changed($piece, [
            [$this->part, fn (array $runs): array => [
                ...array_slice($runs, 0, $this->at), ...array_slice($runs, $this->at + 1),
            ]],
            [$this->to, fn (array $runs): array => [
                ...array_slice($runs, 0, $place), $run, ...array_slice($runs, $place),
            ]],
        ]);
    }

    /** The same place, counted without what is carried. */
    private function placeWithout(Piece $piece): int
    {
        $place = max(0, min(count($piece->part($this->to)->beads), $this->place));

        return $this->to === $this->part && $place > $this->at ? $place - 1 : $place;
    }

    /** Which run it is part of then: beside its own kind it is joined to that. */
    public function landsAt(Piece $before, Piece $after): int
    {
        $bead = Runs::at($before->part($this->part), $this->at)->bead;
        $runs = $after->part($this->to)->beads;
        $near = array_keys(array_filter($runs, fn ($run): bool => $run->bead === $bead));
        $place = $this->placeWithout($before);
        usort($near, fn (int $one, int $other): int => abs($one - $place) <=> abs($other - $place));

        return $near[0] ?? max(0, count($runs) - 1);
    }

    public function words(Piece $before): string
    {
        return 'Carried '.$before->beads[Runs::at($before->part($this->part), $this->at)->bead]->words();
    }
}

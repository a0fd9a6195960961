<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Moves a run of beads one place up or down; past the end of its wire it goes on to the next part that takes beads. */
final readonly class MoveBead implements Change
{
    public function __construct(public PartId $part, public int $at, public int $by)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $run = Runs::at($part, $this->at);
        $runs = $part->beads;
        array_splice($runs, $this->at, 1);
        $to = $this->at + ($this->by <=> 0);
        if ($to >= 0 && $to <= count($runs)) {
            array_splice($runs, $to, 0, [$run]);

            return $piece->withPart($part->withBeads($runs));
        }
        $index = $this->next($piece);
        if ($index === null) {
            return $piece;
        }
        $other = $piece->parts[$index];
        $theirs = $this->by > 0 ? [$run, ...$other->beads] : [...$other->beads, $run];
        $parts = $piece->parts;
        $parts[$piece->indexOf($this->part)] = $part->withBeads(Runs::joined($runs));
        $parts[$index] = $other->withBeads(Runs::joined($theirs));

        return $piece->withParts(array_values($parts));
    }

    /** The next part in its way that takes beads. */
    private function next(Piece $piece): ?int
    {
        $step = $this->by <=> 0;
        for ($index = $piece->indexOf($this->part) + $step; isset($piece->parts[$index]); $index += $step) {
            if ($piece->parts[$index]->technique()->takesBeads()) {
                return $index;
            }
        }

        return null;
    }

    /**
     * Where the bead stands in the piece once it is moved: the part and the place on it.
     *
     * @return array{PartId, int}
     */
    public function landsAt(Piece $before, Piece $after): array
    {
        $runs = count($after->part($this->part)->beads);
        $to = $this->at + ($this->by <=> 0);
        if ($to >= 0 && $to < count($before->part($this->part)->beads)) {
            return [$this->part, min($to, $runs - 1)];
        }
        $index = $this->next($before);
        if ($index !== null) {
            $id = $before->parts[$index]->id;

            return [$id, $this->by > 0 ? 0 : count($after->part($id)->beads) - 1];
        }

        return [$this->part, $this->at];
    }

    public function words(Piece $before): string
    {
        return 'Moved a bead';
    }
}

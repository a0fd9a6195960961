<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece;

/** Moves a run of beads one place up or down; past the end of its wire it goes on to the next part that takes beads. */
final readonly class MoveBead implements Change
{
    public function __construct(private string $part, private int $at, private int $by)
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
        $step = $this->by <=> 0;
        for ($index = $piece->indexOf($this->part) + $step; isset($piece->parts[$index]); $index += $step) {
            $other = $piece->parts[$index];
            if ($other->technique()->takesBeads()) {
                $theirs = $step > 0 ? [$run, ...$other->beads] : [...$other->beads, $run];
                $parts = $piece->parts;
                $parts[$piece->indexOf($this->part)] = $part->withBeads(Runs::joined($runs));
                $parts[$index] = $other->withBeads(Runs::joined($theirs));

                return $piece->withParts(array_values($parts));
            }
        }

        return $piece;
    }

    public function words(Piece $before): string
    {
        return 'Moved a bead';
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece;

/** A piece becomes as another is, and keeps its name and its note. */
final readonly class Becoming implements Change
{
    public function __construct(private Piece $other)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return Piece::of(
            $piece->name, $piece->note, $this->other->makes, $this->other->wires, $this->other->beads,
            $this->other->parts, $this->other->fit, $this->other->groups,
        );
    }

    public function words(Piece $before): string
    {
        return 'Became as '.$this->other->name;
    }
}

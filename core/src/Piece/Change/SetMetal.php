<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Wire\Metal;

/** One metal for every wire of the piece; sizes and tempers stay. */
final readonly class SetMetal implements Change
{
    public function __construct(public Metal $metal)
    {
    }

    public function apply(Piece $piece): Piece
    {
        foreach (array_keys($piece->wires) as $role) {
            $piece = $piece->withWire($role, $piece->wires[$role]->withMetal($this->metal));
        }

        return $piece;
    }

    public function words(Piece $before): string
    {
        return ucfirst($this->metal->words()).' throughout';
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** A part is made of a wire of its own, which begins as the one it had, or goes back to the wire of its kind. */
final readonly class OwnWire implements Change
{
    public function __construct(public PartId $part, public bool $isOwn)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        if ($part->isOfOwnWire() === $this->isOwn) {
            return $piece;
        }
        $role = $this->isOwn ? $part->id->text : $part->technique()->role();
        $wire = $this->isOwn ? $piece->wires[$part->wire] : $piece->wires[$role] ?? $piece->wires[$part->wire];

        return $piece->withPartOf($part->madeOf($role), $wire);
    }

    public function words(Piece $before): string
    {
        $label = $before->part($this->part)->label();

        return $this->isOwn ? "Gave the {$label} a wire of its own" : "Made the {$label} of the common wire again";
    }
}

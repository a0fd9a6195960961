<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/** Another metal, size or temper for one wire role; what is null stays. */
final readonly class SetWire implements Change
{
    public function __construct(
        public string $role,
        public ?Metal $metal = null,
        public ?WireSize $size = null,
        public ?Temper $temper = null,
    ) {
    }

    public function apply(Piece $piece): Piece
    {
        $wire = $piece->wires[$this->role] ?? throw InvalidPiece::noSuchWire('role', $this->role);
        $wire = $this->metal === null ? $wire : $wire->withMetal($this->metal);
        $wire = $this->size === null ? $wire : $wire->withSize($this->size);
        $wire = $this->temper === null ? $wire : $wire->withTemper($this->temper);

        return $piece->withWire($this->role, $wire);
    }

    public function words(Piece $before): string
    {
        return implode(
            ', ',
            array_filter([$this->metal?->words(), $this->size?->text(), $this->temper?->words()]),
        ).' for '.$before->wireWords($this->role);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\Piece;

/** The hole or the size as measured, or another colour, for one bead wherever the piece uses it; what is null stays. */
final readonly class EditBead implements Change
{
    public function __construct(
        public string $bead,
        public ?float $holeMm,
        public ?string $colour,
        public ?string $size = null,
    ) {
    }

    public function apply(Piece $piece): Piece
    {
        $bead = $piece->beads[$this->bead] ?? throw InvalidPiece::noSuchBead('bead', $this->bead);
        $bead = $this->holeMm === null ? $bead : $bead->withHole($this->holeMm);
        $bead = $this->colour === null ? $bead : $bead->coloured($this->colour);

        $bead = $this->size === null ? $bead : $bead->resized($this->size);

        return $piece->withBead($this->bead, $bead);
    }

    public function words(Piece $before): string
    {
        return match (true) {
            $this->size !== null => 'Bead size changed',
            $this->holeMm !== null => 'Bead hole changed',
            default => 'Bead colour changed',
        };
    }
}

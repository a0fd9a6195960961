<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece;

/** The maker's note on the piece. */
final readonly class SetNote implements Change
{
    public function __construct(public string $note)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return $piece->withNote(trim($this->note));
    }

    public function words(Piece $before): string
    {
        return 'Note changed';
    }
}

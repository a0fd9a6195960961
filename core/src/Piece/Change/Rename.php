<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Piece;

/** Another name for the piece. */
final readonly class Rename implements Change
{
    public function __construct(public string $name)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return $piece->withName(trim($this->name));
    }

    public function words(Piece $before): string
    {
        return 'Renamed';
    }
}

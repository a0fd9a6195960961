<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Makes;
use Hebra\Core\Piece\Piece;

/** One, a pair, or a batch. */
final readonly class SetMakes implements Change
{
    public function __construct(public Makes $makes)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return $piece->withMakes($this->makes);
    }

    public function words(Piece $before): string
    {
        return 'Makes '.$this->makes->words();
    }
}

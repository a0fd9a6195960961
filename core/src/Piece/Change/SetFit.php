<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\Piece;

/** What the piece is to fit: the parts that have a size follow it. */
final readonly class SetFit implements Change
{
    public function __construct(public Fit $fit)
    {
    }

    public function apply(Piece $piece): Piece
    {
        return Sized::to($piece->withFit($this->fit));
    }

    public function words(Piece $before): string
    {
        return 'To fit '.$this->fit->kind->words();
    }
}

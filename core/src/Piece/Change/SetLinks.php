<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\LengthUnit;

/** How many links several pieces of chain have, each its own number. */
final readonly class SetLinks implements Change
{
    /** @param  array<string, string>  $links  by part */
    public function __construct(public array $links)
    {
    }

    public function apply(Piece $piece): Piece
    {
        foreach ($this->links as $part => $links) {
            $piece = (new SetSetting(PartId::of($part), 'links', $links, LengthUnit::Millimetre))->apply($piece);
        }

        return $piece;
    }

    public function words(Piece $before): string
    {
        return 'Matched the chain link for link';
    }
}

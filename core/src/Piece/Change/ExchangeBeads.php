<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** Two runs of beads take each other's places, each as many as it was. */
final readonly class ExchangeBeads implements Change
{
    public function __construct(public PartId $part, public int $at, public PartId $to, public int $place)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $one = Runs::at($piece->part($this->part), $this->at);
        $other = Runs::at($piece->part($this->to), $this->place);

        return Runs::changed($piece, [
            [$this->part, fn (array $runs): array => array_replace($runs, [$this->at => $other])],
            [$this->to, fn (array $runs): array => array_replace($runs, [$this->place => $one])],
        ]);
    }

    public function words(Piece $before): string
    {
        return 'Exchanged two beads';
    }
}

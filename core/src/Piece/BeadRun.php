<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

/**
 * The same bead several times in a row on one wire. Invariant: count ≥ 1; the bead is named by its key in the piece.
 */
final readonly class BeadRun
{
    public const MOST = 2000;

    public function __construct(public string $bead, public int $count)
    {
    }

    public function times(int $count): self
    {
        return new self($this->bead, $count);
    }
}

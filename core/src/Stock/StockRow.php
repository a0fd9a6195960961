<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/** So many pieces of one length in stock, mm; a count of 0: as many as are needed, still to be bought. */
final readonly class StockRow
{
    public function __construct(public string $label, public float $lengthMm, public int $count)
    {
    }

    public function isBought(): bool
    {
        return $this->count === 0;
    }
}

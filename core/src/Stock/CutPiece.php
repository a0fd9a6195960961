<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/** One physical piece of stock that is cut from: what is cut, and what is left of it, mm. */
final readonly class CutPiece
{
    /** @param  array<string, int>  $cuts  how many of each label */
    public function __construct(
        public StockRow $row,
        public array $cuts,
        public float $remainderMm,
        /** what the row stands at in the stock, from 0 */
        public int $rowAt,
    ) {
    }
}

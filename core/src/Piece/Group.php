<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Quantity\Count;

/**
 * Parts that follow each other and repeat together; mirrored, the repeats are followed by as many backwards. Invariant:
 * 1 ≤ repeat ≤ 2,000.
 */
final readonly class Group
{
    private function __construct(public int $repeat, public bool $isMirrored)
    {
    }

    /** @throws \Hebra\Core\Quantity\OutOfRange outside 1 to 2,000 */
    public static function of(int $repeat, bool $isMirrored = false, string $field = 'repeat'): self
    {
        return new self(Count::within($repeat, $field, 1, Piece::MOST_PARTS), $isMirrored);
    }

    /** How often each of its parts is made. */
    public function times(): int
    {
        return $this->repeat * ($this->isMirrored ? 2 : 1);
    }

    public function words(): string
    {
        return "× {$this->repeat}".($this->isMirrored ? ', then mirrored' : '');
    }
}

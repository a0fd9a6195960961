<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Plan\Cut;

/** One kind of cut: its strip, the part it makes, and where its wire comes from. */
final readonly class CutRow
{
    /** So many are circles to be filled; more are told by their number. */
    private const CIRCLES = 10;

    public function __construct(public Strip $strip, public Drawing $part, public CutSource $from)
    {
    }

    public function cut(): Cut
    {
        return $this->strip->cut;
    }

    /** @return list<bool> each circle, filled or not; none where there are too many */
    public function circles(): array
    {
        $count = $this->cut()->count;

        return $count > self::CIRCLES
            ? []
            : array_map(fn (int $at): bool => $at < $this->from->ticked, range(0, $count - 1));
    }
}

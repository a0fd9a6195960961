<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Lot;
use Hebra\Core\Plan\Cut;

/** One kind of cut: its strip, the part it makes, how many are cut, and its lot before and after. */
final readonly class CutRow
{
    /** So many are circles to be filled; more are told by their number. */
    private const CIRCLES = 10;

    public function __construct(
        public Strip $strip,
        public Drawing $part,
        public int $ticked,
        public ?Lot $lot,
        public float $beforeMm,
        public float $takesMm,
    ) {
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
            : array_map(fn (int $at): bool => $at < $this->ticked, range(0, $count - 1));
    }

    public function afterMm(): float
    {
        return $this->beforeMm - $this->takesMm;
    }

    /** Whether one lot has enough for all of them. */
    public function isCovered(): bool
    {
        return $this->lot !== null && $this->afterMm() > -1e-6;
    }
}

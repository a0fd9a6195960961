<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lot;
use Hebra\Core\Plan\Cut;

/** What so many cuts of one kind from one lot really took, in whole milligrams over all of them: gross = net + kept + scrap. */
final readonly class ClosingRow
{
    public Cut $cut;

    public int $count;

    public function __construct(
        public CutShare $share,
        public ?Lot $lot,
        public float $cutMm,
        public float $leftMm,
        public float $keptMm,
        /** whether what was left over was measured, not taken from the plan */
        public bool $isMeasured = false,
        public float $shortMm = 0.0,
        /** it ran short by an unknown amount */
        public bool $isBound = false,
    ) {
        [$this->cut, $this->count] = [$share->cut, $share->count];
    }

    private function mg(float $millimetres): int
    {
        return $this->lot !== null && ! $this->lot->isPins()
            ? $this->lot->mgOf($millimetres)
            : (int) round($millimetres * $this->cut->wire->milligramsPerMm());
    }

    public function grossMg(): int
    {
        return $this->count * ($this->lot?->isPins() ? $this->lot->pinMg() : $this->mg($this->cutMm));
    }

    /** One offcut. */
    public function keptMg(): int
    {
        return $this->mg($this->keptMm);
    }

    public function scrapMg(): int
    {
        return min($this->mg($this->leftMm - $this->keptMm) * $this->count, $this->grossMg() - $this->keptMg() * $this->count);
    }

    public function netMg(): int
    {
        return $this->grossMg() - $this->keptMg() * $this->count - $this->scrapMg();
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lot;
use Hebra\Core\Plan\Cut;

/** What one kind of cut really took, in whole milligrams over all its copies: gross = net + kept + scrap. */
final readonly class ClosingRow
{
    public function __construct(
        public Cut $cut,
        public ?Lot $lot,
        public float $cutMm,
        public float $leftMm,
        public float $keptMm,
    ) {
    }

    private function mg(float $millimetres): int
    {
        return $this->lot !== null && ! $this->lot->isPins()
            ? $this->lot->mgOf($millimetres)
            : (int) round($millimetres * $this->cut->wire->milligramsPerMm());
    }

    public function grossMg(): int
    {
        return $this->cut->count * ($this->lot?->isPins() ? $this->lot->pinMg() : $this->mg($this->cutMm));
    }

    /** One offcut. */
    public function keptMg(): int
    {
        return $this->mg($this->keptMm);
    }

    public function scrapMg(): int
    {
        return min($this->mg($this->leftMm - $this->keptMm) * $this->cut->count, $this->grossMg() - $this->keptMg() * $this->cut->count);
    }

    public function netMg(): int
    {
        return $this->grossMg() - $this->keptMg() * $this->cut->count - $this->scrapMg();
    }
}

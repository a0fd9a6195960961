<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lot;
use App\Read\CutShare;
use Hebra\Core\Plan\Cut;

/**
 * What so many cuts of one kind from one lot really took, in whole milligrams over all of them: gross = net + kept +
 * scrap.
 */
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

    /**
     * As it was cut, and a clean end for each cut; the last takes no more than the lot still had. Rounded once, over
     * all of them.
     */
    public function grossMg(): int
    {
        if ($this->lot?->isPins() === true) {
            return $this->count * $this->lot->pinMg();
        }
        $all = $this->mg($this->count * ($this->cutMm + $this->cut->trimMm()));
        $least = $this->mg($this->count * $this->cutMm + ($this->count - 1) * $this->cut->trimMm());
        $held = $this->lot?->heldMg() ?? $all;

        return $held < $all ? max($least, min($all, $held)) : $all;
    }

    /** One offcut. */
    public function keptMg(): int
    {
        return $this->mg($this->keptMm);
    }

    public function scrapMg(): int
    {
        return $this->grossMg() - $this->keptMg() * $this->count - $this->netMg();
    }

    /** What stays in the pieces. */
    public function netMg(): int
    {
        $rest = $this->grossMg() - $this->keptMg() * $this->count;

        return max(
            0,
            min(
                $rest,
                $this->lot?->isPins() === true
                    ? $this->count * $this->mg($this->cutMm - $this->leftMm)
                    : $this->mg($this->count * ($this->cutMm - $this->leftMm)),
            ),
        );
    }
}

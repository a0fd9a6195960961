<?php

declare(strict_types=1);

namespace App\View\Log;

use App\Actions\ClosingRow;
use App\Models\Lot;
use App\Read\CutShare;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;

/** So many alike cuts on the ruler of what was left: how long each was cut, and what of it the piece was to keep. */
final readonly class LeftRow
{
    public Cut $cut;

    public string $key;

    public float $cutMm;

    /** of one, what is in the piece as it was planned */
    public float $keptMm;

    /** as it would be booked now */
    public ClosingRow $booked;

    public function __construct(public CutShare $share, private Profile $profile, ?Lot $lot)
    {
        $this->cut = $share->cut;
        $this->key = $share->key;
        $this->cutMm = $this->cut->pinMm ?? $profile->ruler->upMm($this->cut->lengthMm());
        $this->keptMm = min($this->cutMm, $this->cut->netMm());
        $this->booked = new ClosingRow($share, $lot, $this->cutMm, $this->leftMm(), $this->offcutMm());
    }

    public function leftMm(): float
    {
        return $this->cutMm - $this->keptMm;
    }

    /** What goes back to stock where nothing else is said. */
    public function offcutMm(): float
    {
        return $this->leftMm() >= $this->profile->keepMm ? $this->leftMm() : 0.0;
    }

    /** Milligrams that go to the jar besides what is left: a clean end of each cut. */
    public function trimmedMg(): float
    {
        return $this->booked->scrapMg() - ($this->leftMm() - $this->offcutMm()) * $this->milligramsPerMm();
    }

    /** Of all its wires. */
    public function milligramsPerMm(): float
    {
        return $this->booked->netMg() / max(1e-9, $this->keptMm);
    }

    /** `46 mm in the piece, 0.49 g in all 2`. */
    public function words(): string
    {
        return $this->profile->length($this->keptMm).' in the piece, '.Figures::grams($this->booked->netMg() / 1000)
            .($this->share->count > 1 ? " in all {$this->share->count}" : '');
    }
}

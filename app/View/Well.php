<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;

/**
 * A bead in its well of the tray: how large it is drawn there, how many are owned and left, or why it does not go on.
 */
final readonly class Well
{
    /** Pixels of a millimetre in every well, and how large the largest may be. */
    private const PX_PER_MM = 3.6;

    private const MOST_PX = 44.0;

    public float $w;

    public float $l;

    public float $wide;

    public float $top;

    public function __construct(public Bead $bead, public int $owned, public int $left, public string $why)
    {
        $scale = min(self::PX_PER_MM, self::MOST_PX / max($bead->widthMm, $bead->lengthMm));
        [$this->w, $this->l] = [round($bead->widthMm * $scale, 2), round($bead->lengthMm * $scale, 2)];
        $this->wide = max(24.0, $this->w + 4);
        $this->top = round($this->l / 2 - 23, 2);
    }

    public function words(): string
    {
        return $this->bead->name !== '' ? $this->bead->name : $this->bead->sizeWords();
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/**
 * Stones set in a row and joined by links, bound along a core: behind each stone the wire goes once round on its way to
 * the next link, and over each link it takes close wraps. The row is as long as its stones: the wraps lie in the gaps.
 * Units: millimetres. Source: geometry, the hull round the core and a link that lies on it; wraps over every link are
 * common practice.
 */
final readonly class StoneRow
{
    public const SOURCE = 'geometry: turns round the core and the links of the row; wraps over each link are common '
        .'practice';

    public function __construct(public float $coreMm, public float $sideMm, public float $linkMm, public float $wireMm)
    {
    }

    /** The middle line of a wire pulled tight round the core and a link on its outside. */
    public function girthMm(): float
    {
        $round = ($this->coreMm + $this->wireMm) / 2;
        $small = min(($this->linkMm + $this->wireMm) / 2, $round);
        $apart = ($this->coreMm + $this->linkMm) / 2;
        $lean = asin(($round - $small) / $apart);

        return 2 * $this->sideMm + 2 * $apart * cos($lean) + $round * (M_PI + 2 * $lean) + $small * (M_PI - 2 * $lean);
    }

    /** A turn, its ends so far apart along the core. */
    public function turnMm(float $pitchMm): float
    {
        return hypot($this->girthMm(), $pitchMm);
    }

    /** A core alone that takes as much wire round it. */
    public function evenCoreMm(): float
    {
        return ($this->girthMm() - 2 * $this->sideMm) / M_PI - $this->wireMm;
    }

    /** From the coils beside the row up over its links, and down again. */
    public function stepsMm(): float
    {
        return $this->evenCoreMm() - $this->coreMm;
    }

    /** What one stone takes: the turn behind it, and the wraps over the link before it. */
    public function stoneMm(float $pitchMm, int $wraps): float
    {
        return $this->turnMm($pitchMm - $wraps * $this->wireMm) + $wraps * $this->turnMm($this->wireMm);
    }
}

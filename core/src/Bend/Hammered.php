<?php

declare(strict_types=1);

namespace Hebra\Core\Bend;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Wire\Hardness;

/**
 * Round wire hammered or rolled flat from d to t: it widens to min(1.02·d·(d/t)^0.45, the width at which its area
 * stays), its section is (w − t)t + πt²/4, and its volume is kept, so that it lengthens. t = d leaves it as it is.
 *
 * Units: millimetres. Source: Kazeminezhad & Karimi Taheri 2005, for rolling [published, from memory]; by hand it
 * varies. Invariant: 0 < t ≤ d.
 */
final readonly class Hammered
{
    public const SOURCE = 'Kazeminezhad & Karimi Taheri 2005, for rolled wire (from memory); volume is kept; by hand '
        .'it varies';

    private function __construct(public float $wireMm, public float $thicknessMm)
    {
    }

    /** @throws OutOfRange if it would be thicker than the wire, or thinner than a tenth of it */
    public static function of(float $wireMm, float $thicknessMm, string $field = 'thickness'): self
    {
        if ($thicknessMm > $wireMm * (1 + 1e-9)) {
            throw OutOfRange::thicker($field, $thicknessMm, $wireMm);
        }
        if ($thicknessMm < $wireMm / 10) {
            throw OutOfRange::thinner($field, $thicknessMm, $wireMm / 10);
        }

        return new self($wireMm, min($thicknessMm, $wireMm));
    }

    public function widthMm(): float
    {
        [$d, $t] = [$this->wireMm, $this->thicknessMm];

        return min(1.02 * $d * ($d / $t) ** 0.45, $t + M_PI / 4 * ($d ** 2 - $t ** 2) / $t);
    }

    public function areaMm2(): float
    {
        return ($this->widthMm() - $this->thicknessMm) * $this->thicknessMm + M_PI * $this->thicknessMm ** 2 / 4;
    }

    public function lengthening(): float
    {
        return M_PI * $this->wireMm ** 2 / 4 / $this->areaMm2();
    }

    public function numbersHard(): float
    {
        return Hardness::hammeringNumbers($this->wireMm, $this->thicknessMm);
    }
}

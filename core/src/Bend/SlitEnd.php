<?php

declare(strict_types=1);

namespace Hebra\Core\Bend;

/**
 * The end of a wire hammered wide and slit into tendrils side by side. Spread across it keeps its length, so that its
 * thickness is its section over its width: t = A/W; a tendril is (W − (n − 1)·k)/n wide, k what the saw takes.
 * Millimetres. Source: the metal is kept; a saw cut of 0.3 mm and tendrils of at least 0.8 mm are common practice.
 */
final readonly class SlitEnd
{
    public const KERF_MM = 0.3;

    /** Narrower they tear where they are bent [common practice]. */
    public const NARROWEST_MM = 0.8;

    /** Thinner they crack where they are curled [common practice]. */
    public const THINNEST_MM = 0.4;

    public function __construct(public float $areaMm2, public float $flaredMm, public int $tendrils)
    {
    }

    public function thicknessMm(): float
    {
        return $this->areaMm2 / $this->flaredMm;
    }

    public function tendrilMm(): float
    {
        return max(0.0, $this->flaredMm - ($this->tendrils - 1) * self::KERF_MM) / $this->tendrils;
    }

    /** The hole a tendril goes through: across its corners. */
    public function passesMm(): float
    {
        return hypot($this->tendrilMm(), $this->thicknessMm());
    }

    /** The most tendrils that are wide enough not to tear; one where the end is too narrow for two. */
    public function most(): int
    {
        return max(1, (int) floor(($this->flaredMm + self::KERF_MM) / (self::NARROWEST_MM + self::KERF_MM) + 1e-9));
    }
}

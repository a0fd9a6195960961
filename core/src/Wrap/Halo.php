<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\Figures;

/**
 * Turns of a wire laid flat round a row of beads, or round nothing, each outside the one before. N turns round W wide
 * and
 * L long: N·(πW + 2(L − W)) + π·d·N². Millimetres. Source: geometry; the k-th turn's middle line is W +
 * (2k − 1)·d wide.
 */
final readonly class Halo
{
    public function __construct(public float $wireMm, public float $wideMm, public float $longMm, public int $turns)
    {
    }

    public function lengthMm(): float
    {
        return $this->turns * $this->roundMm() + M_PI * $this->wireMm * $this->turns ** 2;
    }

    private function roundMm(): float
    {
        return M_PI * $this->wideMm + 2 * $this->straightMm();
    }

    private function straightMm(): float
    {
        return max(0.0, $this->longMm - $this->wideMm);
    }

    /** How much of its first turn is round, the rest being straight: 1 round one bead. */
    public function curved(): float
    {
        $round = M_PI * ($this->wideMm + $this->wireMm);

        return $round / ($round + 2 * $this->straightMm());
    }

    public function widthMm(): float
    {
        return $this->wideMm + 2 * $this->turns * $this->wireMm;
    }

    public function numbers(): string
    {
        return "{$this->turns} × ".Figures::trim($this->roundMm(), 3).' + π × '.Figures::trim($this->wireMm, 3)
            ." × {$this->turns}²";
    }

    /**
     * Where the wire is after so many turns: along the row and beside it, from its middle. It begins at the row's end.
     *
     * @return array{float, float}
     */
    public function at(float $turns): array
    {
        $radius = $this->wideMm / 2 + $this->wireMm * $turns;
        $half = $this->straightMm() / 2;
        $round = 2 * M_PI * $radius + 4 * $half;
        $mm = ($turns - floor($turns)) * $round;
        $quarter = M_PI * $radius / 2;
        // A quarter round the end, along the side, half round the other end, back along the other side, a quarter.
        $pieces = [
            [$quarter, 0.0, 1.0], [2 * $half, 0.0, -1.0], [2 * $quarter, M_PI / 2, -1.0], [2 * $half, 0.0, 1.0],
            [$quarter, 1.5 * M_PI, 1.0],
        ];
        foreach ($pieces as $piece => [$long, $from, $way]) {
            if ($mm > $long && $piece < 4) {
                $mm -= $long;

                continue;
            }
            $angle = $from + $mm / max(1e-9, $radius);

            return $piece % 2 === 1
                ? [$way * ($mm - $half), -$way * $radius]
                : [$way * $half + $radius * cos($angle), $radius * sin($angle)];
        }

        return [$half + $radius, 0.0];
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;

/**
 * A figure weave over n cores: a turn round k neighbours is √((π(D + w) + 2(k − 1)s)² + w²); woven length = turns·w.
 * Cores stand at s = D where every figure takes all of them, else at s ≥ D + w, for the wire must pass between. A
 * figure
 * that begins beyond the last core of the one before it is reached behind, 2·s a core farther than turns alone have it,
 * which is told beside. No tails.
 *
 * Units: millimetres. Source: geometry of the taut wire.
 */
final readonly class Weave
{
    private function __construct(
        public WeavePattern $pattern,
        public float $coreMm,
        public float $wireMm,
        public float $spacingMm,
        public int $repeats,
    ) {
    }

    /** @throws OutOfRange if the cores stand too close for this pattern */
    public static function of(
        WeavePattern $pattern, float $coreMm, float $wireMm, ?float $spacingMm = null, int $repeats = 1,
    ): self {
        $least = $pattern->passesBetween() ? $coreMm + $wireMm : $coreMm;
        if ($spacingMm !== null && $spacingMm < $least - 1e-9) {
            throw OutOfRange::because(
                'spacing',
                round($spacingMm, 3).' mm',
                $pattern->passesBetween()
                    ? 'leaves no room for the wire to pass between the cores'
                    : 'would press the cores into each other',
                'at least '.round($least, 3).' mm',
            );
        }

        return new self($pattern, $coreMm, $wireMm, $spacingMm ?? $least, $repeats);
    }

    public function times(int $repeats): self
    {
        return new self($this->pattern, $this->coreMm, $this->wireMm, $this->spacingMm, $repeats);
    }

    /** The fewest whole repeats that reach a length. */
    public function reaching(float $lengthMm): self
    {
        return $this->times(max(1, (int) ceil($lengthMm / ($this->pattern->turns() * $this->wireMm) - 1e-9)));
    }

    /** @throws OutOfRange if the wire is too short for one repeat */
    public function fromWire(float $haveMm): self
    {
        $repeats = (int) floor($haveMm / $this->repeatMm() + 1e-9);

        return $repeats >= 1
            ? $this->times($repeats)
            : throw OutOfRange::tooShort('have', $haveMm, $this->repeatMm(), 'one repeat');
    }

    /** @param  array{turns: int, from: int, to: int}  $figure */
    public function figureMm(array $figure): float
    {
        return $figure['turns'] * Turn::roundMm(
            $figure['to'] - $figure['from'] + 1,
            $this->coreMm,
            $this->spacingMm,
            $this->wireMm,
        );
    }

    public function repeatMm(): float
    {
        return array_sum(array_map($this->figureMm(...), $this->pattern->figures));
    }

    /** What it takes besides, in a repeat, to reach figures that begin beyond the one before. */
    public function reachedMm(): float
    {
        $figures = $this->pattern->figures;
        $cores = 0;
        foreach ($figures as $at => $figure) {
            $cores += max(0, $figures[($at + 1) % count($figures)]['from'] - $figure['to']);
        }

        return 2 * $cores * $this->spacingMm;
    }

    public function turns(): int
    {
        return $this->repeats * $this->pattern->turns();
    }

    public function wireLengthMm(): float
    {
        return $this->repeats * $this->repeatMm();
    }

    public function wovenMm(): float
    {
        return $this->turns() * $this->wireMm;
    }
}

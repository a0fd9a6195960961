<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/**
 * Which cut comes from which piece of stock, so that the least value is lost. Millimetres of worth. Invariants: every
 * cut is placed once; the bound is never more than the value lost.
 */
final readonly class CuttingPlan
{
    /** @param  list<CutPiece>  $pieces  those that are touched, in stock order */
    public function __construct(
        public array $pieces,
        public float $valueLostMm,
        /** proven: no plan loses less */
        public float $boundMm,
        public bool $isOptimal,
        private CuttingTerms $terms,
    ) {
    }

    /** How far at most it is from the best, as a share of what is lost. */
    public function gap(): float
    {
        return $this->valueLostMm <= 0 ? 0.0 : max(0.0, ($this->valueLostMm - $this->boundMm) / $this->valueLostMm);
    }

    public function opened(): int
    {
        return count($this->pieces);
    }

    /** Whether so few cuts are planned that the least can be proved. */
    public function isFew(): bool
    {
        return array_sum(
            array_map(fn (CutPiece $piece): int => array_sum($piece->cuts), $this->pieces),
        ) <= CutTable::MOST_CUTS;
    }

    /** What is left too short to keep. */
    public function scrapMm(): float
    {
        return array_sum(
            array_map(
                fn (CutPiece $piece): float => $piece->remainderMm < $this->terms->keepMm - 1e-9
                    ? $piece->remainderMm
                    : 0.0,
                $this->pieces,
            ),
        );
    }

    /** @return array<string, mixed> the JSON of `hebra:cut` */
    public function toArray(): array
    {
        return [
            'assignments' => array_map(
                fn (CutPiece $piece): array => [
                    'stock' => $piece->row->label,
                    'cuts' => (object) $piece->cuts,
                    'remainder_mm' => round($piece->remainderMm, 6),
                ],
                $this->pieces,
            ),
            'value_lost_mm' => round($this->valueLostMm, 6), 'bound_mm' => round($this->boundMm, 6),
            'optimal' => $this->isOptimal, 'opened' => $this->opened(), 'scrap_mm' => round($this->scrapMm(), 6),
        ];
    }
}

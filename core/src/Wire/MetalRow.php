<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/** A line of the table of metals. */
final readonly class MetalRow
{
    /**
     * @param  float  $fineness  precious metal as a share of the mass: what the scrap jar is worth by
     * @param  float  $numbersBeforeAnnealing  B&S numbers it takes before it must be annealed
     * @param  non-empty-list<Temper>  $tempers  those its wire is sold in
     * @param  non-empty-array<string, int>  $inventedE4 made-up prices: ten-thousandths of the currency a gram, from
     *     the day on which each stands, early days first
     * @param  array{array{int, int, int}, array{int, int, int}, array{int, int, int}}  $tint edge, body and shine as
     *     drawn on page and paper: red, green, blue
     */
    public function __construct(
        public string $words,
        public float $gramsPerCubicCentimetre,
        public float $fineness,
        public float $numbersBeforeAnnealing,
        public bool $mayIrritatePiercings,
        public Strength $strength,
        public array $tempers,
        public array $inventedE4,
        public array $tint,
        /** what its core is covered with, thinly; empty where it is one metal through */
        public string $coating = '',
    ) {
    }
}

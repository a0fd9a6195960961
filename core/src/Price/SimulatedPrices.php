<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Wire;

/**
 * A made-up price table with dates, so that there is something to reckon with before a maker gives their own prices. Not market
 * data: every figure is invented. Ten-thousandths of a unit of currency a gram of wire, from the day on which it stands.
 */
final class SimulatedPrices implements MetalPrices
{
    private const TABLE = [
        '2026-01-01' => [
            'fine-silver' => 13_400, 'sterling' => 12_600, 'silver-935' => 12_700, 'copper' => 420, 'brass' => 390, 'red-brass' => 410, 'jewellers-bronze' => 440, 'nickel-silver' => 460, 'aluminium' => 350,
            'niobium' => 9_200, 'titanium' => 3_100, 'stainless' => 280, 'gold-24k' => 812_000, 'gold-18k' => 618_000, 'gold-14k' => 482_000, 'gold-filled' => 44_000,
        ],
        '2026-07-01' => ['fine-silver' => 14_100, 'sterling' => 13_200, 'silver-935' => 13_300, 'copper' => 440, 'gold-24k' => 845_000, 'gold-18k' => 640_000, 'gold-14k' => 499_000, 'gold-filled' => 45_500],
        '2026-11-01' => ['fine-silver' => 13_800, 'sterling' => 12_950, 'silver-935' => 13_050, 'copper' => 450, 'brass' => 405],
    ];

    public function perGramE4(Wire $wire, string $day): int
    {
        return $this->row($wire->metal, $day)[1];
    }

    public function source(Wire $wire, string $day): string
    {
        return "made-up table, as of {$this->row($wire->metal, $day)[0]}";
    }

    /** @return array{string, int} the last day with a price, and it; before the first day, the first, which has them all */
    private function row(Metal $metal, string $day): array
    {
        $found = null;
        foreach (self::TABLE as $from => $prices) {
            if (isset($prices[$metal->value]) && ($found === null || $from <= $day)) {
                $found = [$from, $prices[$metal->value]];
            }
        }

        return $found;
    }
}

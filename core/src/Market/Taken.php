<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Wire\Wire;

/** What one making of a plan takes: wire as it is cut in millimetres, beads, findings. */
final readonly class Taken
{
    private const NOTHING_MM = 1e-6;

    /**
     * @param  array<string, array{wire: Wire, mm: float}>  $wires  by the wire's words
     * @param  list<array{bead: Bead, count: int, spareEvery: int}>  $beads  one spare in so many, if no more is known
     * @param  list<Finding>  $findings
     */
    private function __construct(public array $wires, public array $beads, public array $findings)
    {
    }

    public static function of(Plan $plan): self
    {
        $wires = [];
        foreach ($plan->metal as $metal) {
            $key = $metal->wire->words();
            $wires[$key] = ['wire' => $metal->wire, 'mm' => ($wires[$key]['mm'] ?? 0.0) + $metal->grossMm];
        }

        return new self(self::withoutPins($wires, $plan->findings), array_map(fn (BeadCount $one): array => [
            'bead' => $one->bead, 'count' => $one->all, 'spareEvery' => $plan->profile->spareEveryOf($one->bead),
        ], $plan->beads), $plan->findings);
    }

    /**
     * Wire of bought pins is bought as pins.
     *
     * @param  array<string, array{wire: Wire, mm: float}>  $wires
     * @param  list<Finding>  $findings
     * @return array<string, array{wire: Wire, mm: float}>
     */
    private static function withoutPins(array $wires, array $findings): array
    {
        foreach ($findings as $finding) {
            $key = $finding->wire->words();
            if ($finding->isPin() && isset($wires[$key])) {
                $wires[$key]['mm'] -= $finding->lengthMm * $finding->all;
            }
        }

        return array_filter($wires, fn (array $wire): bool => $wire['mm'] > self::NOTHING_MM);
    }
}

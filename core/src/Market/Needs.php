<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Wire\Wire;

/**
 * What makings of plans take in all: wire as it is cut in millimetres, beads with spares by what was
 * missed of them so far, and findings by count or millimetres. Invariant: as much as each plan says, as often as it is
 * made.
 */
final class Needs
{
    /** @var array<string, array{wire: Wire, mm: float}> by the wire's words */
    public array $wires = [];

    /** @var array<string, array{bead: Bead, count: int, spares: int}> by the bead's key */
    public array $beads = [];

    /** @var array<string, array{finding: Finding, amount: float}> by what it is called in stock */
    public array $findings = [];

    /**
     * @param  list<array{Plan, int}>  $makings  plans, and how often each is made
     * @param  array<string, Breakage>  $breakages  of beads that something is known of, by their keys
     */
    public static function of(array $makings, array $breakages = []): self
    {
        $needs = new self;
        foreach ($makings as [$plan, $times]) {
            if ($times > 0) {
                $needs->add($plan, $times, $breakages);
            }
        }

        return $needs;
    }

    /** The same with so many percent more of every wire, for hands that waste some. */
    public function withMoreWire(int $percent): self
    {
        $more = clone $this;
        foreach ($more->wires as $key => $need) {
            $more->wires[$key]['mm'] = $need['mm'] * (1 + $percent / 100);
        }

        return $more;
    }

    /** @param  array<string, Breakage>  $breakages */
    private function add(Plan $plan, int $times, array $breakages): void
    {
        foreach ($plan->metal as $metal) {
            $key = $metal->wire->words();
            $this->wires[$key] = [
                'wire' => $metal->wire, 'mm' => ($this->wires[$key]['mm'] ?? 0.0) + $times * $metal->grossMm,
            ];
        }
        foreach ($plan->beads as $bead) {
            $key = $bead->bead->key();
            $count = ($this->beads[$key]['count'] ?? 0) + $times * $bead->all;
            $this->beads[$key] = [
                'bead' => $bead->bead, 'count' => $count,
                'spares' => ($breakages[$key] ?? Breakage::unknown())->spares(
                    $count, $plan->profile->spareEveryOf($bead->bead),
                ),
            ];
        }
        foreach ($plan->findings as $finding) {
            $key = $finding->isPin() ? $finding->words : mb_strtolower($finding->stock);
            $this->findings[$key] = [
                'finding' => $finding,
                'amount' => ($this->findings[$key]['amount'] ?? 0.0) + $times * $finding->taken(),
            ];
        }
        // Wire of bought pins is bought as pins.
        foreach ($plan->findings as $finding) {
            $key = $finding->wire->words();
            if ($finding->isPin() && isset($this->wires[$key])) {
                $this->wires[$key]['mm'] -= $times * $finding->lengthMm * $finding->all;
                if ($this->wires[$key]['mm'] < 1e-6) {
                    unset($this->wires[$key]);
                }
            }
        }
    }
}

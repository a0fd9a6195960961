<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Plan\Finding;
use Hebra\Core\Wire\Wire;

/**
 * What makings take in all: wire as it is cut in millimetres, beads with spares by what was missed of them so far, and
 * findings by count or millimetres. Invariant: as much as each plan says, as often as it is made.
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
     * @param  list<array{Taken, int}>  $makings  what one making takes, and how often it is made
     * @param  array<string, Breakage>  $breakages  of beads that something is known of, by their keys
     */
    public static function of(array $makings, array $breakages = []): self
    {
        $needs = new self;
        foreach ($makings as [$taken, $times]) {
            if ($times > 0) {
                $needs->add($taken, $times, $breakages);
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
    private function add(Taken $taken, int $times, array $breakages): void
    {
        foreach ($taken->wires as $key => $wire) {
            $this->wires[$key] = [
                'wire' => $wire['wire'], 'mm' => ($this->wires[$key]['mm'] ?? 0.0) + $times * $wire['mm'],
            ];
        }
        foreach ($taken->beads as $bead) {
            $key = $bead['bead']->key();
            $count = ($this->beads[$key]['count'] ?? 0) + $times * $bead['count'];
            $spares = ($breakages[$key] ?? Breakage::unknown())->spares($count, $bead['spareEvery']);
            $this->beads[$key] = ['bead' => $bead['bead'], 'count' => $count, 'spares' => $spares];
        }
        foreach ($taken->findings as $finding) {
            $key = $finding->isPin() ? $finding->words : mb_strtolower($finding->stock);
            $this->findings[$key] = [
                'finding' => $finding,
                'amount' => ($this->findings[$key]['amount'] ?? 0.0) + $times * $finding->taken(),
            ];
        }
    }
}

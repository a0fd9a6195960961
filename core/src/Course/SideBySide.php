<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * Beads on one wire, or on several that run side by side: what has a hole for each takes them all together, what stands
 * between is shared out, alike on every wire or stretch by stretch from the first wire to the last. Millimetres.
 */
final readonly class SideBySide
{
    /** @param  list<Strung>  $strung  as they are told, from the first end on */
    public function __construct(private array $strung, public int $wires, private bool $isInTurn = false)
    {
    }

    public function isThroughAll(Strung $strung): bool
    {
        return $this->wires === 1 || $strung->bead->drilling->holes() === $this->wires;
    }

    /**
     * What every wire carries, and where along it.
     *
     * @return non-empty-list<list<array{Strung, float}>>
     */
    public function placed(): array
    {
        $placed = array_fill(0, max(1, $this->wires), []);
        $mm = 0.0;
        foreach ($this->stretches() as [$between, $through]) {
            $ends = $mm;
            foreach ($this->shares($between) as $wire => $runs) {
                $at = $mm;
                foreach ($runs as $run) {
                    $placed[$wire][] = [$run, $at];
                    $at += $run->lengthMm();
                }
                $ends = max($ends, $at);
            }
            $mm = $ends;
            foreach ($through as $run) {
                foreach ($placed as $wire => $runs) {
                    $placed[$wire] = [...$runs, [$run, $mm]];
                }
                $mm += $run->lengthMm();
            }
        }

        return $placed;
    }

    /** @return non-empty-list<list<Strung>> what every wire carries, from its first end on */
    public function onEach(): array
    {
        return array_map(fn (array $placed): array => array_column($placed, 0), $this->placed());
    }

    /** How long the beads are on the wire that carries most. */
    public function lengthMm(): float
    {
        $ends = array_map(function (array $placed): float {
            $last = $placed === [] ? null : $placed[count($placed) - 1];

            return $last === null ? 0.0 : $last[1] + $last[0]->lengthMm();
        }, $this->placed());

        return max($ends);
    }

    /** @return float by how much the wires differ most where they do, between two beads that take them all */
    public function unevenMm(): float
    {
        $most = 0.0;
        foreach ($this->stretches() as [$between]) {
            $lengths = array_map(
                Stringing::lengthMm(...), $this->shares($between),
            );
            $most = max($most, max($lengths) - min($lengths));
        }

        return $most;
    }

    /** @return list<array{list<Strung>, list<Strung>}> what stands between, and what then takes all the wires */
    private function stretches(): array
    {
        $stretches = [[[], []]];
        foreach ($this->strung as $strung) {
            $last = count($stretches) - 1;
            if ($this->isThroughAll($strung)) {
                $stretches[$last][1][] = $strung;
            } elseif ($stretches[$last][1] === []) {
                $stretches[$last][0][] = $strung;
            } else {
                $stretches[] = [[$strung], []];
            }
        }

        return $stretches;
    }

    /**
     * @param  list<Strung>  $between
     * @return non-empty-list<list<Strung>>
     */
    private function shares(array $between): array
    {
        return $this->isInTurn ? $this->inTurn($between) : $this->alike($between);
    }

    /**
     * Of every run the same, the first wires taking one more of what is over.
     *
     * @param  list<Strung>  $between
     * @return non-empty-list<list<Strung>>
     */
    private function alike(array $between): array
    {
        $share = fn (Strung $run, int $wire): Strung => $run->times(
            intdiv($run->count + $this->wires - 1 - $wire, $this->wires),
        );

        return array_map(
            fn (int $wire): array => array_values(array_filter(
                array_map(fn (Strung $run): Strung => $share($run, $wire), $between),
                fn (Strung $run): bool => $run->count > 0,
            )),
            range(0, max(0, $this->wires - 1)),
        );
    }

    /**
     * As long a stretch for each as is nearest, in order.
     *
     * @param  list<Strung>  $between
     * @return non-empty-list<list<Strung>>
     */
    private function inTurn(array $between): array
    {
        $each = Stringing::lengthMm($between) / $this->wires;
        $shares = array_fill(0, max(1, $this->wires), []);
        $mm = 0.0;
        foreach ($between as $run) {
            for ($bead = 0; $bead < $run->count; $bead++) {
                $wire = min($this->wires - 1, (int) floor(($mm + $run->bead->lengthMm / 2) / $each));
                $shares[$wire][] = $run->times(1);
                $mm += $run->bead->lengthMm;
            }
        }

        return array_map(Stringing::joined(...), $shares);
    }
}

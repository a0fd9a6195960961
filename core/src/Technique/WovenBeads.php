<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandSection;
use Hebra\Core\Wrap\WeavePattern;

/**
 * Beads on the weaving wire of a band: one on the front of every so many repeats of its figures, all of them about the
 * middle. A bead of b by W on a pass of S costs b + 2·√(((S − b)/2)² + ((W − w)/2)²) − S more. Millimetres. Source:
 * geometry.
 */
final readonly class WovenBeads
{
    public function __construct(private PartPlan $plan, private BandLayout $band)
    {
    }

    /** Repeats from one bead to the next. */
    private function every(): int
    {
        return $this->plan->part->count('bead_every');
    }

    /** How far one stands from the next along the band, where they stand closest. */
    public function apartMm(): float
    {
        $apart = array_map(
            fn (BandSection $section): float => $section->weave instanceof WeavePattern
                ? $this->every() * $section->lengthMm / $section->repeats
                : INF,
            $this->band->sections,
        );

        return min([INF, ...$apart]);
    }

    /** How many have a place. */
    public function room(): int
    {
        return intdiv(max(0, count($this->repeats()) - 1), $this->every()) + (int) ($this->repeats() !== []);
    }

    /** @return list<array{int, int}> every repeat of a figure, by its section */
    private function repeats(): array
    {
        $repeats = [];
        foreach ($this->band->sections as $at => $section) {
            for ($repeat = 0; $section->weave instanceof WeavePattern && $repeat < $section->repeats; $repeat++) {
                $repeats[] = [$at, $repeat];
            }
        }

        return $repeats;
    }

    /** @return list<Strung> as they come, one by one */
    private function beads(): array
    {
        $beads = [];
        foreach ($this->plan->strung as $strung) {
            array_push($beads, ...array_fill(0, $strung->count, $strung->times(1)));
        }

        return array_slice($beads, 0, $this->room());
    }

    /** @return array<int, array<int, Strung>> by section, by repeat */
    public function places(): array
    {
        [$repeats, $beads] = [$this->repeats(), $this->beads()];
        $first = intdiv(count($repeats) - 1 - (count($beads) - 1) * $this->every(), 2);
        $places = [];
        foreach ($beads as $number => $strung) {
            [$section, $repeat] = $repeats[$first + $number * $this->every()];
            $places[$section][$repeat] = $strung;
        }

        return $places;
    }

    /** @return list<Strung> on a section, from the start of the weave on */
    public function on(int $section): array
    {
        return Stringing::joined(array_values($this->places()[$section] ?? []));
    }

    /** What its beads cost a section more. */
    public function moreMm(int $section): float
    {
        $more = 0.0;
        foreach ($this->places()[$section] ?? [] as $strung) {
            $more += self::beadMm($strung->bead, $this->passMm($this->band->sections[$section]), $this->band->wireMm);
        }

        return $more;
    }

    public static function beadMm(Bead $bead, float $passMm, float $wireMm): float
    {
        $long = min($bead->lengthMm, $passMm);
        $rise = max(0.0, ($bead->widthMm - $wireMm) / 2);

        return $long + 2 * hypot(($passMm - $long) / 2, $rise) - $passMm;
    }

    /** How far the widest figure of a section goes across, from the middle of its first core to that of its last. */
    public function passMm(BandSection $section): float
    {
        $figures = $section->weave instanceof WeavePattern ? $section->weave->figures : [];
        $wide = array_map(fn (array $figure): int => $figure['to'] - $figure['from'], $figures);

        return max([0, ...$wide]) * $this->band->spacingMm;
    }
}

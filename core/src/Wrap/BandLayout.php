<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

/** A woven band worked out: its sections over its length, and from where to where each core runs in it. Millimetres. */
final readonly class BandLayout
{
    /** @param  non-empty-list<BandSection>  $sections */
    public function __construct(
        public int $cores,
        public float $coreMm,
        public float $wireMm,
        public float $spacingMm,
        public array $sections,
    ) {
    }

    public function lengthMm(): float
    {
        return $this->sections[count($this->sections) - 1]->toMm();
    }

    public function weavingWireMm(): float
    {
        return array_sum(array_map(fn (BandSection $section): float => $section->wireMm, $this->sections));
    }

    /** @return array{float, float} where a core comes in and where it leaves; all along where no section takes it */
    public function runOf(int $core): array
    {
        $taken = array_values(
            array_filter($this->sections, fn (BandSection $section): bool => in_array($core, $section->takes, true)),
        );

        return $taken === [] ? [0.0, $this->lengthMm()] : [$taken[0]->fromMm, $taken[count($taken) - 1]->toMm()];
    }

    /** The wire of a core between where it comes in and where it leaves: longer than the band where it crosses. */
    public function coreWireMm(int $core): float
    {
        [$from, $to] = $this->runOf($core);
        $more = 0.0;
        foreach ($this->sections as $section) {
            if ($section->crossing !== null && in_array($core, $section->takes, true)) {
                $more += Crossing::wayMm($section->lengthMm, $this->asideMm($core, $section)) - $section->lengthMm;
            }
        }

        return $to - $from + $more;
    }

    /** How far a core goes aside where it crosses: across the band, and by its own thickness over or under. */
    public function asideMm(int $core, BandSection $section): float
    {
        $across = $section->crossing?->asideMm($core, $section->takes, $this->spacingMm) ?? 0.0;

        return $across > 0.0 ? hypot($across, $this->coreMm) : 0.0;
    }

    /**
     * Where a core runs free, no section holding it: it is bridged, or leaves and comes back.
     *
     * @return list<array{float, float}>
     */
    public function freeStretches(int $core): array
    {
        [$from, $to] = $this->runOf($core);
        $free = [];
        foreach ($this->sections as $section) {
            // Over a cross the weaving wire holds what it can.
            $isWithin = $section->fromMm >= $from - 1e-9 && $section->toMm() <= $to + 1e-9;
            if ($section->crossing === null && $isWithin && ! in_array($core, $section->takes, true)) {
                $free[] = [$section->fromMm, $section->toMm()];
            }
        }

        return $free;
    }

    /** @return list<array{float, float}> the middle line of a core: along the band, and across from its middle */
    public function pathOf(int $core): array
    {
        [$from, $to] = $this->runOf($core);
        $x = fn (int|false $place): float => ((int) $place - ($this->cores - 1) / 2) * $this->spacingMm;
        $path = [];
        foreach ($this->sections as $at => $section) {
            if ($section->toMm() <= $from + 1e-9 || $section->fromMm >= $to - 1e-9) {
                continue;
            }
            $path[] = [$section->fromMm, $x(array_search($core, $section->places, true))];
            $next = $this->sections[$at + 1] ?? null;
            $after = $next !== null ? $next->places : $this->placesAfter($section);
            $path[] = [$section->toMm(), $x(array_search($core, $after, true))];
        }

        return $path;
    }

    /** @return list<int> */
    private function placesAfter(BandSection $section): array
    {
        return $section->crossing?->after($section->places) ?? $section->places;
    }
}

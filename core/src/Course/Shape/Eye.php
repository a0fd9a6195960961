<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * An eye turned on a neck: kicked back at its foot, so that it stands over the middle, then round the other way until
 * it crosses the neck it came from. Millimetres. Length: π(D + d), the trade's rule; the kick and the round share it,
 * (π/2 − θ)·b + φ·R = π(D + d) with sin θ = b/(R + b). The kick's radius b is such that the eye's inside ends D + d
 * above the neck: b = d/2 + d²/8R. A plain eye ends against its neck; one that is wrapped shut rises in front of it on
 * the way and goes on into the wraps.
 */
final readonly class Eye implements Shape
{
    private const PIECES = 4;

    private const TRIES = 3;

    /** The first wrap drops below the bend: so much of its thickness lower than the round alone would bring it. */
    private const DROP = 0.25;

    /**
     * @param  Helix|null  $wraps  what closes it
     * @param  float  $asideMm  how far from its own neck the middle of all that the wraps go round stands
     */
    public function __construct(
        public float $insideMm, private float $wireMm, public ?Helix $wraps = null, public float $asideMm = 0.0,
    ) {
    }

    public function lengthMm(): float
    {
        return M_PI * ($this->insideMm + $this->wireMm);
    }

    public function laid(Frame $from): array
    {
        $radius = ($this->insideMm + $this->wireMm) / 2;
        $kick = $this->wireMm / 2 + $this->wireMm ** 2 / (8 * $radius);
        $lean = asin($kick / ($radius + $kick));
        [$kicked, $at] = (new Arc($kick, M_PI / 2 - $lean))->laid($from);
        $middle = $at->at->minus($at->towards->times($radius));
        $round = (2 * M_PI * $radius - (M_PI / 2 - $lean) * $kick) / $radius;
        if ($this->wraps === null) {
            [$spans, $end] = (new Arc($radius, -$round))->laid($at);

            return [[...$kicked, ...$spans], $end];
        }
        $neck = $from->in($from->at->plus($from->towards->times($this->asideMm)));
        $round -= $this->earlier($neck, $at, $middle, $radius, $round, $kick * (M_PI / 2 - $lean));
        $end = $this->closed($neck, $at, $middle, $radius, $round);
        $spans = $this->rising($at, $middle, $radius, $round, $end);

        return [[...$kicked, ...$spans], $end];
    }

    /** Rising costs length: by how much earlier it closes, radians; the same for every eye of a size. */
    private function earlier(
        Frame $neck, Frame $at, Vector $middle, float $radius, float $round, float $kickedMm,
    ): float {
        /** @var array<string, float> $known */
        static $known = [];
        $key = implode('/', [$this->insideMm, $this->wireMm, $this->asideMm, $this->wraps?->slope()]);
        if (! isset($known[$key])) {
            $earlier = 0.0;
            for ($try = 0; $try < self::TRIES; $try++) {
                $end = $this->closed($neck, $at, $middle, $radius, $round - $earlier);
                $spans = $this->rising($at, $middle, $radius, $round - $earlier, $end);
                $mm = array_sum(array_map(fn (Span $span): float => $span->lengthMm(), $spans));
                $earlier += ($kickedMm + $mm - $this->lengthMm()) / $radius;
            }
            $known[$key] = $earlier;
        }

        return $known[$key];
    }

    /** How the wire stands where the wraps begin: before its neck, on its way across it. */
    private function closed(Frame $neck, Frame $at, Vector $middle, float $radius, float $round): Frame
    {
        $turned = $at->bent(-$round);
        $flat = $middle->plus($turned->towards->times($radius));
        // How far it has yet to go to the neck's middle is how far round the neck it already is.
        $across = $neck->towards;
        $before = max(-0.9, min(0.9, $flat->minus($neck->at)->dot($across) / $this->wireMm));
        $out = $neck->beside();
        $angle = asin($before);
        $ahead = $across->times(cos($angle))->minus($out->times(sin($angle)));
        $up = $flat->minus($neck->at)->dot($neck->ahead) - self::DROP * $this->wireMm;
        $place = $neck->at->plus($neck->ahead->times($up))
            ->plus($across->times($this->wireMm * sin($angle)))->plus($out->times($this->wireMm * cos($angle)));
        $towards = $across->times(-sin($angle))->minus($out->times(cos($angle)));

        return (new Frame($place, $ahead, $towards))->tilted($this->wraps?->slope() ?? 0.0);
    }

    /** @return list<Span> round, out of the plane of the neck and into the wraps */
    private function rising(Frame $at, Vector $middle, float $radius, float $round, Frame $end): array
    {
        $out = $end->at->minus($middle)->dot($at->beside());
        $spans = [];
        [$place, $ahead] = [$at->at, $at->ahead];
        for ($piece = 1; $piece <= self::PIECES; $piece++) {
            $share = $piece / self::PIECES;
            $turned = $at->bent(-$round * $share);
            // Flat for the first half of the way, then up with an even slope.
            $rise = max(0.0, 2 * $share - 1) ** 2 * $out;
            $steep = 4 * max(0.0, 2 * $share - 1) * $out;
            $isLast = $piece === self::PIECES;
            $nextPlace = $isLast
                ? $end->at
                : $middle->plus($turned->towards->times($radius))->plus($at->beside()->times($rise));
            $nextAhead = $isLast
                ? $end->ahead
                : $turned->ahead->times($round * $radius)->plus($at->beside()->times($steep))->unit();
            $spans[] = Span::along($place, $ahead, $nextPlace, $nextAhead);
            [$place, $ahead] = [$nextPlace, $nextAhead];
        }

        return $spans;
    }
}

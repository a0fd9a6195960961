<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * An eye turned on a neck: kicked back so that it stands over the middle, then round the other way until it crosses the
 * neck it came from. Millimetres. Length: π(D + d), the trade's rule; a straight s, the kick and the round share it,
 * s + (π/2 − θ)·b + φ·R = π(D + d) with sin θ = b/(R + b). The kick's radius b is such that the round stands half a
 * thickness above it: b = d/2 + d²/8R. A plain eye, R = (D + d)/2 without the straight, ends against its neck. One that
 * is wrapped shut rises in front of it on the way and comes down below its own kick, where the wraps begin: R is as
 * much less as that takes, and s twice as much, so that the inside of either ends D + d above the neck.
 */
final readonly class Eye implements Shape
{
    private const PIECES = 4;

    private const TRIES = 8;

    /** Where the wraps begin, thicknesses: past the neck's middle, here before it, and above the neck's end. */
    private const PAST = -0.75;

    private const ABOVE = 0.2;

    /**
     * @param  Helix|null  $wraps  what closes it
     * @param  float  $asideMm  how far from its own neck the middle of all that the wraps go round stands
     * @param  float|null  $past  how far past the middle of the neck it closes, thicknesses, -1 to 1
     */
    public function __construct(
        public float $insideMm, private float $wireMm, public ?Helix $wraps = null, public float $asideMm = 0.0,
        private ?float $past = null,
    ) {
    }

    public function lengthMm(): float
    {
        return M_PI * ($this->insideMm + $this->wireMm);
    }

    public function laid(Frame $from): array
    {
        $radius = ($this->insideMm + $this->wireMm) / 2;

        return $this->wraps === null ? $this->plain($from, $radius) : $this->wrapped($from, $this->closing($radius));
    }

    /** @return array{list<Span>, Frame} straight and kicked, and how the wire stands where the round begins */
    private function kicked(Frame $from, float $radius): array
    {
        $kick = $this->wireMm / 2 + $this->wireMm ** 2 / (8 * $radius);
        $kicked = new Arc($kick, M_PI / 2 - asin($kick / ($radius + $kick)));
        $straight = $this->insideMm + $this->wireMm - 2 * $radius;

        return ($straight < 1e-9 ? $kicked : new Together(new Straight($straight), $kicked))->laid($from);
    }

    /** @return array{list<Span>, Frame} */
    private function plain(Frame $from, float $radius): array
    {
        [$kicked, $at] = $this->kicked($from, $radius);
        [$spans, $end] = (new Arc($radius, (self::long($kicked) - $this->lengthMm()) / $radius))->laid($at);

        return [[...$kicked, ...$spans], $end];
    }

    /** @return array{list<Span>, Frame} */
    private function wrapped(Frame $from, float $radius): array
    {
        [$kicked, $at] = $this->kicked($from, $radius);
        $neck = $from->in($from->at->plus($from->towards->times($this->asideMm)));
        $middle = $at->at->minus($at->towards->times($radius));
        $past = asin(max(-0.95, min(0.95, ($this->past() * $this->wireMm + $this->asideMm) / $radius)));
        $round = 2 * M_PI - asin($at->ahead->dot($from->ahead)) + $past;
        $end = $this->closed($neck);

        return [[...$kicked, ...$this->rising($at, $middle, $radius, $round, $end)], $end];
    }

    /** Whether it is turned and closed over its own neck alone. */
    public function isOverItsNeck(): bool
    {
        return $this->asideMm === 0.0 && $this->past === null;
    }

    /** Wraps round several stems begin in the middle of their flat side. */
    private function past(): float
    {
        return $this->past ?? ($this->wraps === null || $this->wraps->sideMm > 0.0 ? 0.0 : self::PAST);
    }

    /** The radius with which all of it is as long as the rule has it; the same for every eye of a size. */
    private function closing(float $radius): float
    {
        /** @var array<string, float> $known */
        static $known = [];
        $key = implode('/', [$this->insideMm, $this->wireMm, $this->asideMm, $this->past(), $this->wraps?->slope()]);
        if (! isset($known[$key])) {
            for ($try = 0; $try < self::TRIES; $try++) {
                $mm = self::long($this->wrapped(Frame::down(0.0), $radius)[0]);
                $radius += ($this->lengthMm() - $mm) / (2 * M_PI);
            }
            $known[$key] = $radius;
        }

        return $known[$key];
    }

    /** @param  list<Span>  $spans */
    private static function long(array $spans): float
    {
        return array_sum(array_map(fn (Span $span): float => $span->lengthMm(), $spans));
    }

    /** How the wire stands where the wraps begin: before its neck, on its way across it. */
    private function closed(Frame $neck): Frame
    {
        $across = $neck->towards;
        $out = $neck->beside();
        // How far it has gone past the neck's middle is how far round the neck it already is.
        $angle = asin($this->past());
        $ahead = $across->times(cos($angle))->minus($out->times(sin($angle)));
        $place = $neck->at->plus($neck->ahead->times(self::ABOVE * $this->wireMm))
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

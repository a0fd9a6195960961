<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * Turns of wire round what lies on the side it bends to, each a pitch farther along: wraps round a neck, a coil on a
 * mandrel. The hull of several alike wires side by side has straight sides between its halves. Millimetres.
 * Length: turns · √((2πr + 2s)² + p²), s the width between the outer stems' middles (geometry: a helix unrolled).
 */
final readonly class Helix implements Shape
{
    /** @param  float  $sideMm  how far apart the outer of several stems stand, middle to middle; 0 round one */
    public function __construct(
        private float $radiusMm,
        public float $turns,
        private float $pitchMm,
        public float $sideMm = 0.0,
        /** 1 where it climbs to the left of its turning, -1 to the right */
        private int $hand = 1,
    ) {
    }

    /** Close turns of a wire round stems of a thickness, each as wide as it lies beside the last. */
    public static function wraps(
        float $turns, float $stemMm, float $wireMm, int $stems = 1, int $hand = 1, ?float $pitchMm = null,
    ): self {
        return new self(($stemMm + $wireMm) / 2, $turns, $pitchMm ?? $wireMm, ($stems - 1) * $stemMm, $hand);
    }

    /** Round turns of a length in all, each a pitch beside the last. */
    public static function ofLength(float $lengthMm, float $turns, float $pitchMm, int $hand = 1): self
    {
        return new self(sqrt(($lengthMm / $turns) ** 2 - $pitchMm ** 2) / (2 * M_PI), $turns, $pitchMm, 0.0, $hand);
    }

    public function radiusMm(): float
    {
        return $this->radiusMm;
    }

    private function roundMm(): float
    {
        return 2 * M_PI * $this->radiusMm + 2 * $this->sideMm;
    }

    public function lengthMm(): float
    {
        return $this->turns * hypot($this->roundMm(), $this->pitchMm);
    }

    /** By how much it leaves the plane of its turning, radians. */
    public function slope(): float
    {
        return $this->hand * atan2($this->pitchMm, $this->roundMm());
    }

    /** Its first direction already leaves the plane of its turning. */
    public function laid(Frame $from): array
    {
        $flat = $from->tilted(-$this->slope());
        $axis = $flat->beside()->times((float) $this->hand);
        [$spans, $last] = [[], $from];
        $all = $this->turns * $this->roundMm();
        $gone = 0.0;
        while ($gone < $all - 1e-9) {
            $before = $gone;
            $gone = min($all, $this->nextStop($gone));
            $next = $this->at($flat, $axis, $gone);
            $pull = $this->pullMm(
                $next->at->minus($last->at)->lengthMm(), $last->ahead->dot($next->ahead), $gone - $before,
            );
            $spans[] = new Span(
                $last->at, $last->at->plus($last->ahead->times($pull)), $next->at->minus($next->ahead->times($pull)),
                $next->at,
            );
            $last = $next;
        }

        return [$spans, $last];
    }

    /** How far a stretch of so much round the hull is pulled from each of its ends: as on a circle, along the slope. */
    private function pullMm(float $chordMm, float $cosine, float $roundMm): float
    {
        $turn = $roundMm / $this->radiusMm;

        return $cosine > 0.9999 ? $chordMm / 3 : 4 / 3 * tan($turn / 4) * $this->radiusMm / cos($this->slope());
    }

    /**
     * Where the next stretch ends, mm round the hull: a straight side, or half a turn from side to side. Half a turn of
     * wrapped wire as one cubic is out by less than a fiftieth of its radius.
     */
    private function nextStop(float $gone): float
    {
        $quarter = M_PI / 2 * $this->radiusMm;
        $round = $this->roundMm();
        $start = floor($gone / $round + 1e-9) * $round;
        $stops = match (true) {
            $this->sideMm > 0 => [
                $this->sideMm / 2, $quarter, $quarter, $this->sideMm, $quarter, $quarter, $this->sideMm / 2,
            ],
            $this->pitchMm > $this->radiusMm / 2 => [$quarter, 2 * $quarter, $quarter],
            default => [$quarter, $quarter, $quarter, $quarter],
        };
        $at = $start;
        foreach ($stops as $stop) {
            $at += $stop;
            if ($at > $gone + 1e-9) {
                return $at;
            }
        }

        return $start + $round + $stops[0];
    }

    /** How the wire stands so far round the hull, whose middle lies a radius to the side. */
    private function at(Frame $flat, Vector $axis, float $gone): Frame
    {
        $middle = $flat->at->plus($flat->towards->times($this->radiusMm));
        $in = fmod($gone, $this->roundMm());
        $half = M_PI * $this->radiusMm;
        // From the middle of one side: half of it, round, the other side, round, the other half.
        [$along, $angle] = match (true) {
            $in <= $this->sideMm / 2 => [$in, 0.0],
            $in <= $this->sideMm / 2 + $half => [$this->sideMm / 2, ($in - $this->sideMm / 2) / $this->radiusMm],
            $in <= 1.5 * $this->sideMm + $half => [$this->sideMm + $half - $in, M_PI],
            $in <= 1.5 * $this->sideMm + 2 * $half => [
                -$this->sideMm / 2, M_PI + ($in - 1.5 * $this->sideMm - $half) / $this->radiusMm,
            ],
            default => [$in - $this->roundMm(), 2 * M_PI],
        };
        $turned = $flat->bent($angle);
        $at = $middle->plus($flat->ahead->times($along))->minus($turned->towards->times($this->radiusMm))
            ->plus($axis->times($gone / $this->roundMm() * $this->pitchMm));

        return $turned->in($at)->tilted($this->slope());
    }
}

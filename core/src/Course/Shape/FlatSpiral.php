<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Wrap\Spiral;

/**
 * A flat spiral wound inwards from its outer turn, towards the side the wire bends to; each turn a wire's thickness
 * closer to the middle. Length: see Spiral.
 */
final readonly class FlatSpiral implements Shape
{
    /** @param  float  $without  turns that its outer end falls short of */
    public function __construct(private Spiral $spiral, private float $without = 0.0)
    {
    }

    public function lengthMm(): float
    {
        return $this->without === 0.0
            ? $this->spiral->wireLengthMm()
            : 2 * M_PI * $this->turns() * $this->radiusMm(0.5);
    }

    private function turns(): float
    {
        return $this->spiral->turns - $this->without;
    }

    /** The same wire as it lies: going inwards takes c/2·ln(R/r) more than going round, c a turn's step over 2π. */
    private function lain(): self
    {
        $more = $this->spiral->wireMm / (4 * M_PI) * log($this->radiusMm(0.0) / max($this->radiusMm(1.0), 0.01));

        return new self($this->spiral, $this->without + $more / (2 * M_PI * $this->radiusMm(0.0)));
    }

    /** From the wire's middle in its outer turn, and in its inner. */
    private function radiusMm(float $share): float
    {
        // N·π(D + N·d) is the length round a mean radius of (D + N·d)/2, half of N·d on either side of it.
        $outer = ($this->spiral->insideMm + 2 * $this->spiral->turns * $this->spiral->wireMm) / 2;

        return $outer - ($this->without + $share * $this->turns()) * $this->spiral->wireMm;
    }

    public function laid(Frame $from): array
    {
        return $this->lain()->wound($from);
    }

    /** @return array{list<Span>, Frame} */
    private function wound(Frame $from): array
    {
        $all = 2 * M_PI * $this->turns();
        $pieces = max(2, (int) ceil(4 * $this->turns()));
        $inward = -$this->spiral->wireMm / (2 * M_PI);
        // Square to the radius it would go round; it goes inwards as well.
        $round = $from->bent(-atan2(-$inward, $this->radiusMm(0.0)));
        $middle = $from->at->plus($round->towards->times($this->radiusMm(0.0)));
        $spans = [];
        $place = fn (float $share): Vector => $middle->minus(
            $round->bent($all * $share)->towards->times($this->radiusMm($share)),
        );
        $runs = fn (float $share): Vector => $round->bent($all * $share)->ahead->times($this->radiusMm($share))
            ->minus($round->bent($all * $share)->towards->times($inward))->unit();
        for ($piece = 0; $piece < $pieces; $piece++) {
            [$one, $other] = [$piece / $pieces, ($piece + 1) / $pieces];
            $spans[] = Span::along($place($one), $runs($one), $place($other), $runs($other));
        }
        $end = $round->bent($all + atan2(-$inward, $this->radiusMm(1.0)));

        return [$spans, $end->in($place(1.0))];
    }
}

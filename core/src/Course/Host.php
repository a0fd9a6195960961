<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * What other wires lie along, are wound round or bound to: a curve and the side of it that faces the viewer. At each of
 * its millimetres it has a frame that goes on along it and bends outwards. Millimetres.
 */
final class Host
{
    /** @var non-empty-list<Span> */
    private array $spans;

    /** @var list<float> where each span begins */
    private array $starts = [];

    private float $lengthMm = 0.0;

    public function __construct(Curve $curve, private readonly Vector $face = new Vector(0.0, 0.0, 1.0))
    {
        $this->spans = $curve->spans === []
            ? [Span::straight(new Vector(0.0, 0.0), new Vector(0.0, 1.0))]
            : $curve->spans;
        foreach ($this->spans as $span) {
            $this->starts[] = $this->lengthMm;
            $this->lengthMm += $span->lengthMm();
        }
    }

    /** Whether it is but one straight stretch. */
    public function isStraight(): bool
    {
        return count($this->spans) === 1 && $this->spans[0]->isStraight();
    }

    public function lengthMm(): float
    {
        return $this->lengthMm;
    }

    /**
     * How it stands there, bending outwards: to the left of its way, seen from its face. Beyond its ends it is
     * straight.
     */
    public function at(float $mm): Frame
    {
        $within = max(0.0, min($this->lengthMm, $mm));
        $place = $this->spanAt($within);
        $span = $this->spans[$place];
        $start = $this->starts[$place] ?? 0.0;
        $share = $span->shareAt($within - $start, ($this->starts[$place + 1] ?? $this->lengthMm) - $start);
        $ahead = $span->runs($share)->unit();
        $outwards = $ahead->cross($this->face)->unit();

        return new Frame($span->at($share)->plus($ahead->times($mm - $within)), $ahead, $outwards);
    }

    private function spanAt(float $mm): int
    {
        [$least, $most] = [0, count($this->starts) - 1];
        while ($least < $most) {
            $middle = intdiv($least + $most + 1, 2);
            $this->starts[$middle] <= $mm ? $least = $middle : $most = $middle - 1;
        }

        return max(0, $least);
    }
}

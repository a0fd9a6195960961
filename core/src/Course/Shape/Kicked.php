<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Wrap\Spiral;

/**
 * A flat spiral that stands over the middle of the wire it comes from: kicked aside at its start, then wound
 * the other way. Its length is the spiral's: what the kick takes, its outer turn has less. Millimetres.
 */
final readonly class Kicked implements Shape
{
    public function __construct(private Spiral $spiral)
    {
    }

    public function lengthMm(): float
    {
        return $this->spiral->wireLengthMm();
    }

    private function kickMm(): float
    {
        return 0.75 * $this->spiral->wireMm;
    }

    /** From the wire's middle in its outer turn. */
    private function outerMm(): float
    {
        return ($this->spiral->insideMm + 2 * $this->spiral->turns * $this->spiral->wireMm) / 2;
    }

    /** How far beyond where it begins its middle stands. */
    public function middleMm(): float
    {
        return sqrt(($this->outerMm() + $this->kickMm()) ** 2 - $this->kickMm() ** 2);
    }

    public function laid(Frame $from): array
    {
        $lean = asin($this->kickMm() / ($this->outerMm() + $this->kickMm()));
        $kick = new Arc($this->kickMm(), M_PI / 2 - $lean);
        [$kicked, $at] = $kick->laid($from);
        // So much of the outer turn, 2π·x·(R − x·d/2), is as long as the kick.
        [$outer, $wire] = [$this->outerMm(), $this->spiral->wireMm];
        $without = ($outer - sqrt($outer ** 2 - $kick->lengthMm() * $wire / M_PI)) / $wire;
        $wound = new FlatSpiral($this->spiral, $without);
        // The other way round from the kick.
        [$spans, $end] = $wound->laid($at->rolled(M_PI));

        return [[...$kicked, ...$spans], $end];
    }
}

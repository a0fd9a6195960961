<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Wire\Metal;

/** Collects what techniques draw: strokes of wire and beads, in millimetres, y downwards from the top of the piece. */
final class Sketch
{
    /** @var list<Stroke> */
    private array $strokes = [];

    /** @var list<BeadMark> */
    private array $beads = [];

    public function stroke(Stroke $stroke): void
    {
        $this->strokes[] = $stroke;
    }

    public function bead(Bead $bead, float $topMm, string $mark): void
    {
        $this->beads[] = new BeadMark($bead, $topMm, $mark);
    }

    /**
     * An eye whose inside starts at $insideTopMm: a ring when it faces the viewer; edge-on, a narrow oval whose far half
     * lies behind what it is hooked into and whose near half lies before it.
     */
    public function eye(float $insideTopMm, float $insideMm, float $wireMm, bool $facing, Metal $metal, string $mark): void
    {
        $r = ($insideMm + $wireMm) / 2;
        $middle = $insideTopMm + $insideMm / 2;
        $rx = $facing ? $r : max($wireMm * 0.55, $r * 0.34);
        foreach ([[-1, $facing ? 1 : 0], [1, $facing ? 1 : 2]] as [$side, $layer]) {
            $this->stroke(new Stroke([['M', 0.0, $middle - $r], ['A', $rx, $r, $side > 0 ? 1 : 0, 0.0, $middle + $r]], $wireMm, $metal, $layer, $mark));
        }
    }

    public function stem(float $fromMm, float $toMm, float $wireMm, Metal $metal, string $mark): void
    {
        if ($toMm > $fromMm) {
            $this->stroke(new Stroke([['M', 0.0, $fromMm], ['L', 0.0, $toMm]], $wireMm, $metal, 1, $mark));
        }
    }

    /** N close turns on a stem, from $fromMm down. */
    public function wraps(float $fromMm, int $wraps, float $wireMm, Metal $metal, string $mark): void
    {
        for ($turn = 0; $turn < $wraps; $turn++) {
            $y = $fromMm + ($turn + 0.5) * $wireMm;
            $this->stroke(new Stroke([['M', -$wireMm, $y + 0.22 * $wireMm], ['L', $wireMm, $y - 0.22 * $wireMm]], $wireMm, $metal, 1, $mark));
        }
    }

    public function figure(): PieceFigure
    {
        return new PieceFigure($this->strokes, $this->beads);
    }
}

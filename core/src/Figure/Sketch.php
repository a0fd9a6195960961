<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wrap\Spiral;

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

    public function bead(Bead $bead, float $topMm, string $mark, float $xMm = 0.0, float $turn = 0.0): void
    {
        $this->beads[] = new BeadMark($bead, $topMm, $mark, $xMm, $turn);
    }

    /** A ring of wire round a middle, seen from the front; in two halves, so that both can be lit. */
    public function ring(
        float $xMm, float $yMm, float $radiusMm, float $wireMm, Metal $metal, string $mark, int $layer = 1,
    ): void {
        foreach ([0, 1] as $sweep) {
            $this->stroke(
                new Stroke(
                    [['M', $xMm, $yMm - $radiusMm], ['A', $radiusMm, $radiusMm, $sweep, $xMm, $yMm + $radiusMm]],
                    $wireMm,
                    $metal,
                    $layer,
                    $mark,
                ),
            );
        }
    }

    /**
     * Wire through points, as a polyline fine enough to look bent.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public function through(array $points, float $wireMm, Metal $metal, string $mark, int $layer = 1): void
    {
        $path = [['M', $points[0][0], $points[0][1]]];
        foreach (array_slice($points, 1) as [$x, $y]) {
            $path[] = ['L', $x, $y];
        }
        $this->stroke(new Stroke($path, $wireMm, $metal, $layer, $mark));
    }

    /** A part of a circle from one angle to another, in turns clockwise from the right. */
    public function bow(
        float $xMm, float $yMm, float $radiusMm, float $from, float $to, float $wireMm, Metal $metal, string $mark,
        int $layer = 1,
    ): void {
        $steps = max(6, (int) ceil(abs($to - $from) * max(96, 5 * $radiusMm)));
        $points = [];
        for ($step = 0; $step <= $steps; $step++) {
            $angle = 2 * M_PI * ($from + ($to - $from) * $step / $steps);
            $points[] = [round($xMm + $radiusMm * cos($angle), 4), round($yMm + $radiusMm * sin($angle), 4)];
        }
        $this->through($points, $wireMm, $metal, $mark, $layer);
    }

    /**
     * A flat spiral round a middle, from its outer end inwards: where that end lies in turns clockwise from the right,
     * and whether it winds clockwise (1) or the other way (-1).
     *
     * @param  1|-1  $way
     */
    public function spiral(
        float $xMm, float $yMm, Spiral $spiral, float $from, int $way, Metal $metal, string $mark, int $layer = 1,
    ): void {
        $outer = ($spiral->widthMm() - $spiral->wireMm) / 2;
        $inner = ($spiral->insideMm + $spiral->wireMm) / 2;
        $steps = max(12, (int) ceil(36 * $spiral->turns));
        $points = [];
        for ($step = 0; $step <= $steps; $step++) {
            $angle = 2 * M_PI * ($from + $way * $spiral->turns * $step / $steps);
            $radius = $outer + ($inner - $outer) * $step / $steps;
            $points[] = [round($xMm + $radius * cos($angle), 3), round($yMm + $radius * sin($angle), 3)];
        }
        $this->through($points, $spiral->wireMm, $metal, $mark, $layer);
    }

    /**
     * An eye whose inside starts at $insideTopMm: a ring when it faces the viewer; edge-on, a narrow oval whose far
     * half lies behind what it is hooked into and whose near half lies before it.
     */
    public function eye(
        float $insideTopMm, float $insideMm, float $wireMm, bool $facing, Metal $metal, string $mark,
    ): void {
        $r = ($insideMm + $wireMm) / 2;
        $middle = $insideTopMm + $insideMm / 2;
        $rx = $facing ? $r : max($wireMm * 0.55, $r * 0.34);
        foreach ([[-1, $facing ? 1 : 0], [1, $facing ? 1 : 2]] as [$side, $layer]) {
            $this->stroke(
                new Stroke(
                    [['M', 0.0, $middle - $r], ['A', $rx, $r, $side > 0 ? 1 : 0, 0.0, $middle + $r]],
                    $wireMm,
                    $metal,
                    $layer,
                    $mark,
                ),
            );
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
            $this->stroke(
                new Stroke(
                    [['M', -$wireMm, $y + 0.22 * $wireMm], ['L', $wireMm, $y - 0.22 * $wireMm]],
                    $wireMm,
                    $metal,
                    1,
                    $mark,
                ),
            );
        }
    }

    public function add(PieceFigure $figure): void
    {
        array_push($this->strokes, ...$figure->strokes);
        array_push($this->beads, ...$figure->beads);
    }

    public function figure(): PieceFigure
    {
        return new PieceFigure($this->strokes, $this->beads);
    }
}

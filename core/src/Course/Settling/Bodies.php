<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Settling;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;

/**
 * The wires of a part as bodies: places along them, one after the other, as they are told. What is no wire, and cord,
 * is no body. Millimetres.
 */
final class Bodies
{
    /** How far apart places are at most: of a middle thickness between their wire and the thinnest. */
    private const STEP = 0.45;

    /** So many times farther where wires are woven, which press on none but what leads to them. */
    private const COARSE = 1.4;

    /** How large the cells are in which a weave is looked at: as long as its passes and the turns of eyes. */
    private const CELL_MM = 3.0;

    /** So far from a bead a wire gives again. */
    private const MOUTH_MM = 0.6;

    /** What is formed, or carries others, gives less than what is only led from one place to another. */
    public const FIRM = 0.2;

    private const WOUND = 0.5;

    private const CLOSE = 0.02;

    /** So long, in thicknesses, an end is loose, and gives so many times more. */
    private const LOOSE = 6.0;

    private const SPRINGS = 20.0;

    /** @var list<float> */
    public array $x = [];

    /** @var list<float> */
    public array $y = [];

    /** @var list<float> */
    public array $z = [];

    /** @var list<Vector> how its wire runs there, not yet of length one */
    public array $runs = [];

    /** @var list<int> which wire it is of */
    public array $wire = [];

    /** @var list<float> how far on it that is */
    public array $mm = [];

    /** @var list<float> how thick it is there */
    public array $thick = [];

    /** @var array<int, float> how readily it gives: 0 in a bead, 1 where nothing holds it */
    public array $gives = [];

    /** @var array<int, bool> whether it is left as it is among others of which that is said: woven, close, held */
    public array $isLeft = [];

    /** @var array<int, bool> false of what is cut off in the finished piece, and beyond a flat cut end */
    public array $isThere = [];

    /** @var array<int, bool> true about a cut end: two that are closed meet there */
    public array $isEnd = [];

    /** @var list<int> the first place of every wire */
    public array $first = [];

    /** @var array<string, true> the cells in which wires are worked otherwise than woven or led straight */
    private readonly array $worked;

    /** How thick the wire is that is being told, and how far apart its places are. */
    private float $wireMm = 0.0;

    private float $stepMm = 0.0;

    /** @param  list<array{Course, float}>  $wires  each with its thickness; none of what is no wire */
    public function __construct(array $wires)
    {
        $this->worked = self::worked($wires);
        $thicknesses = array_filter(array_column($wires, 1), fn (float $thick): bool => $thick > 0.0);
        $thinnest = $thicknesses === [] ? 1.0 : min($thicknesses);
        foreach ($wires as $number => [$course, $thick]) {
            $first = count($this->x);
            $this->first[] = $first;
            $this->wireMm = $thick;
            $this->stepMm = self::STEP * sqrt($thinnest * max($thick, $thinnest));
            $this->wire($number, $course);
            $this->cutOff($first);
            $this->hold($first);
        }
    }

    /**
     * The cells in which wires are worked otherwise than woven or led straight, and those beside them.
     *
     * @param  list<array{Course, float}>  $wires
     * @return array<string, true>
     */
    private static function worked(array $wires): array
    {
        $worked = [];
        foreach ($wires as [$course]) {
            foreach ($course->curves() as $at => $curve) {
                $kind = $course->moves[$at]->segment->kind;
                $isApart = $kind === SegmentKind::Weave || $kind === SegmentKind::Straight;
                foreach ($isApart || ! $course->moves[$at]->isSeen() ? [] : $curve->spans as $span) {
                    for ($beside = 0; $beside < 27; $beside++) {
                        $worked[self::cell($span->at(0.5), $beside)] = true;
                    }
                }
            }
        }

        return $worked;
    }

    /** @param  int  $beside  one of the 27 about it, 13 for itself */
    private static function cell(Vector $at, int $beside = 13): string
    {
        $x = round($at->x / self::CELL_MM) + intdiv($beside, 9) - 1;
        $y = round($at->y / self::CELL_MM) + intdiv($beside, 3) % 3 - 1;

        return "{$x}/{$y}/".(round($at->z / self::CELL_MM) + $beside % 3 - 1);
    }

    private function wire(int $number, Course $course): void
    {
        $mm = 0.0;
        foreach ($course->curves() as $at => $curve) {
            $move = $course->moves[$at];
            $from = count($this->x);
            $isWoven = $move->segment->kind === SegmentKind::Weave;
            $step = $isWoven ? self::COARSE * $this->stepMm : $this->stepMm;
            foreach ($curve->spans as $span) {
                $length = $span->lengthMm();
                if ($isWoven && ! isset($this->worked[self::cell($span->at(0.5))])) {
                    $mm += $length;

                    continue;
                }
                $pieces = max(1, (int) ceil($length / $step));
                for ($piece = $mm > 0.0 ? 1 : 0; $piece <= $pieces; $piece++) {
                    $this->place($span, $piece / $pieces);
                    $this->mm[] = $mm + $piece / $pieces * $length;
                }
                $mm += $length;
            }
            $this->all($number, $move, count($this->x) - $from);
            $this->thread($from, $move->standing($curve));
        }
    }

    private function place(Span $span, float $share): void
    {
        $at = $span->at($share);
        [$this->x[], $this->y[], $this->z[]] = [$at->x, $at->y, $at->z];
        $this->runs[] = $span->runs($share);
    }

    /** What is the same of all places of a stretch. */
    private function all(int $number, Move $move, int $count): void
    {
        $gives = match ($move->segment->kind) {
            SegmentKind::Leg, SegmentKind::Tail, SegmentKind::Trim => 1.0,
            SegmentKind::Wraps, SegmentKind::Binding, SegmentKind::Weave => self::WOUND,
            // A close coil is as one body.
            SegmentKind::Coil => self::CLOSE,
            default => self::FIRM,
        };
        array_push($this->wire, ...array_fill(0, $count, $number));
        array_push($this->thick, ...array_fill(0, $count, min($this->wireMm, $move->wideMm ?? $this->wireMm)));
        array_push($this->isThere, ...array_fill(0, $count, $this->wireMm > 0.0 && $move->isSeen()));
        array_push($this->isEnd, ...array_fill(0, $count, false));
        array_push($this->isLeft, ...array_fill(0, $count, $move->segment->kind === SegmentKind::Weave));
        array_push($this->gives, ...array_fill(0, $count, $gives));
    }

    /**
     * What a stretch carries holds it.
     *
     * @param  list<array{Threaded, Vector, Vector}>  $beads
     */
    private function thread(int $from, array $beads): void
    {
        $next = 0;
        for ($place = $from, $count = count($this->x); $beads !== [] && $place < $count; $place++) {
            $far = $this->farMm($place, $beads[$next][1]);
            while (isset($beads[$next + 1]) && $this->farMm($place, $beads[$next + 1][1]) < $far) {
                $far = $this->farMm($place, $beads[++$next][1]);
            }
            if ($far < $beads[$next][0]->bead->lengthMm / 2) {
                $this->gives[$place] = 0.0;
            }
        }
    }

    private function farMm(int $place, Vector $at): float
    {
        return sqrt(
            ($this->x[$place] - $at->x) ** 2 + ($this->y[$place] - $at->y) ** 2 + ($this->z[$place] - $at->z) ** 2,
        );
    }

    /** A wire is cut off flat: no body beyond its ends. */
    private function cutOff(int $first): void
    {
        $there = array_keys(array_filter(array_slice($this->isThere, $first, null, true)));
        if ($there === []) {
            return;
        }
        // A stretch begins in the place that ended the one before it; the place nearest to a cut end stands for that.
        $end = ($this->wireMm - $this->stepMm) / 2;
        [$from, $to] = [
            $this->mm[max($first, $there[0] - 1)] + $end, $this->mm[$there[count($there) - 1]] - $end,
        ];
        foreach ($there as $place) {
            [$gone, $left] = [$this->mm[$place] - $from, $to - $this->mm[$place]];
            $this->isThere[$place] = $gone >= 0.0 && $left >= 0.0;
            $this->isEnd[$place] = min($gone, $left) < $this->stepMm;
            // A loose end springs aside before the rest is moved.
            $this->gives[$place] *= min($gone, $left) < self::LOOSE * $this->wireMm ? self::SPRINGS : 1.0;
        }
    }

    /** What runs in a bead stays there, and gives more and more beyond its mouth. */
    private function hold(int $first): void
    {
        $count = count($this->x);
        foreach ($count > $first ? [range($first, $count - 1), range($count - 1, $first)] : [] as $way) {
            $last = -INF;
            foreach ($way as $place) {
                $last = $this->gives[$place] === 0.0 ? $this->mm[$place] : $last;
                $this->gives[$place] *= min(1.0, abs($this->mm[$place] - $last) / self::MOUTH_MM);
            }
        }
        for ($place = $first; $place < $count; $place++) {
            $this->isLeft[$place] = $this->isLeft[$place] || $this->gives[$place] <= self::CLOSE;
        }
    }
}

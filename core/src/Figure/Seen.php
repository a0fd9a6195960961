<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Wire\Wire;

/**
 * Courses as they are seen from a side: turned about the part's upright axis, and a little aside, so that an eye on edge
 * is the narrow oval that makers know while what faces the viewer keeps its true size. What is nearer covers what is
 * farther: a wire is told in strokes that end where it passes from one depth to another.
 */
final class Seen
{
    /** How far a millimetre of depth stands aside. */
    private const ASIDE = 0.34;

    /** What links into other parts is told apart before and behind them; the rest only where it is far off. */
    private const LINKS = [SegmentKind::Loop, SegmentKind::Eye];

    /** Of what is wound close round something the near halves hide the far ones. */
    private const WOUND = [SegmentKind::Wraps, SegmentKind::Coil, SegmentKind::Binding];

    /** Of the wire's thickness: how deep it is before it is no longer in the plane, and before it is far from it. */
    private const FLAT = 0.05;

    private const BENT = 0.3;

    private const FAR = 3.0;

    /** A smaller share of a span is not told apart. */
    private const SLIVER = 0.15;

    /** The cosine of a turn that is seen as a corner. */
    private const STRAIGHT_ON = 0.97;

    /** So much of its thickness a stroke runs on under the next, that no seam is seen. */
    private const JOIN = 0.06;

    private readonly float $cos;

    private readonly float $sin;

    public function __construct(private readonly Sketch $sketch, float $degrees)
    {
        [$this->cos, $this->sin] = [round(cos(deg2rad($degrees)), 9), round(sin(deg2rad($degrees)), 9)];
    }

    private function turned(Vector $at): Vector
    {
        return new Vector($this->cos * $at->x + $this->sin * $at->z, $at->y, $this->cos * $at->z - $this->sin * $at->x);
    }

    /** @return array{float, float} on the page */
    private static function page(Vector $turned): array
    {
        return [round($turned->x + self::ASIDE * $turned->z, 4), round($turned->y, 4)];
    }

    /** Where a point of the part is seen. */
    public function placed(Placement $eye, bool $flips): Placement
    {
        [$x, $y] = self::page($this->turned(new Vector($eye->xMm, $eye->yMm)));

        return new Placement($y, $eye->facing !== $flips, $x);
    }

    public function course(Course $course, Wire $wire): void
    {
        $pieces = [];
        foreach ($course->curves() as $place => $curve) {
            $move = $course->moves[$place];
            if (! $move->isSeen()) {
                continue;
            }
            $this->beads($move, $curve, $wire);
            foreach ($curve->spans as $span) {
                array_push($pieces, ...$this->pieces($span, $move, $wire->diameterMm()));
            }
        }
        $this->strokes($pieces, $wire);
    }

    private function beads(Move $move, Curve $curve, Wire $wire): void
    {
        $mm = 0.0;
        foreach ($move->threaded as $run) {
            $mm += $this->crimp($run, $curve, $mm, $wire);
            for ($bead = 0; $bead < $run->count; $bead++) {
                $this->bead($run, $curve, $mm + $run->bead->lengthMm / 2);
                $mm += $run->bead->lengthMm;
            }
            $mm += $this->crimp($run, $curve, $mm, $wire);
        }
    }

    private function bead(Threaded $run, Curve $curve, float $mm): void
    {
        [$at, $runs] = $curve->at($mm);
        [$x, $y] = self::page($this->turned($at));
        [$dx, $dy] = self::page($this->turned($runs));
        $turn = hypot($dx, $dy) < 1e-6 ? 0.0 : rad2deg(atan2(-$dx, $dy)) + ($run->isTurned ? 180.0 : 0.0);
        $this->sketch->bead(
            $run->bead, round($y - $run->bead->lengthMm / 2, 4), $run->mark, $x,
            self::within($turn),
        );
    }

    /** Degrees from over -180 to 180. */
    private static function within(float $degrees): float
    {
        return round(180.0 - fmod(540.0 - $degrees, 360.0), 2) + 0.0;
    }

    /** @return float how much of the wire it takes, mm */
    private function crimp(Threaded $run, Curve $curve, float $fromMm, Wire $wire): float
    {
        if ($run->held === null) {
            return 0.0;
        }
        [$from, $to] = [$curve->at($fromMm)[0], $curve->at($fromMm + $run->held->lengthMm)[0]];
        $path = [['M', ...self::page($this->turned($from))], ['L', ...self::page($this->turned($to))]];
        $this->sketch->stroke(new Stroke($path, $run->held->wideMm, $wire->metal, 1, $run->held->mark, true, 1));

        return $run->held->lengthMm;
    }

    /**
     * A span, parted where it passes through the plane of its part.
     *
     * @return list<array{Span, Move, int, int}> seen from the front; its layer and its rank in it
     */
    private function pieces(Span $span, Move $move, float $wireMm): array
    {
        $seen = new Span(
            $this->turned($span->from), $this->turned($span->first), $this->turned($span->second),
            $this->turned($span->to),
        );
        $parts = [$seen];
        if ($seen->from->z * $seen->to->z < 0) {
            $share = $seen->passes(0.0);
            $parts = min($share, 1 - $share) < self::SLIVER ? [$seen] : $seen->parted($share);
        }

        return array_map(fn (Span $part): array => [$part, $move, ...self::depth($part, $move, $wireMm)], $parts);
    }

    /** @return array{int, int} its layer, and its rank in it */
    private static function depth(Span $span, Move $move, float $wireMm): array
    {
        $z = $span->at(0.5)->z / $wireMm;
        $kind = $move->segment->kind;
        $side = $z <=> 0.0;

        return match (true) {
            in_array($kind, self::LINKS, true) => [abs($z) > self::FLAT ? 1 + $side : 1, 0],
            in_array($kind, self::WOUND, true) => [1, $side],
            abs($z) > self::FAR => [1 + $side, 0],
            default => [1, abs($z) > self::BENT ? $side : 0],
        };
    }

    /** @param  list<array{Span, Move, int, int}>  $pieces */
    private function strokes(array $pieces, Wire $wire): void
    {
        $strokes = [];
        $from = 0;
        foreach ($pieces as $at => [, $move, $layer, $rank]) {
            $next = $pieces[$at + 1] ?? null;
            $goesOn = $next !== null && $next[1]->segment->mark === $move->segment->mark
                && [$next[2], $next[3]] === [$layer, $rank];
            if ($goesOn) {
                continue;
            }
            /** @var non-empty-list<Span> $spans */
            $spans = array_column(array_slice($pieces, $from, $at + 1 - $from), 0);
            $isWound = in_array($move->segment->kind, self::WOUND, true);
            $isEnd = $isWound || self::ends($pieces[$from - 1][0] ?? null, $spans[0])
                || self::ends($spans[count($spans) - 1], $next[0] ?? null);
            if (! $isWound || $rank >= 0) {
                $join = $isWound ? 0.0 : self::JOIN * $wire->diameterMm();
                $strokes[$isEnd ? 0 : 1][] = new Stroke(
                    self::path($spans, $from > 0 ? $join : 0.0, $next !== null ? $join : 0.0),
                    $move->wideMm ?? $wire->diameterMm(), $wire->metal, $layer, $move->segment->mark,
                    runsOn: $move->wideMm === null ? ! $isEnd : ! $move->isRounded, rank: $rank,
                );
            }
            $from = $at + 1;
        }
        // The ends of a wire are round; where they run on, what they run into covers that.
        foreach ([...$strokes[0] ?? [], ...$strokes[1] ?? []] as $stroke) {
            $this->sketch->stroke($stroke);
        }
    }

    /** Whether a wire ends between two spans, or turns a corner there. */
    private static function ends(?Span $one, ?Span $other): bool
    {
        return $one === null || $other === null
            || $one->runs(1.0)->unit()->dot($other->runs(0.0)->unit()) < self::STRAIGHT_ON;
    }

    /**
     * @param  non-empty-list<Span>  $spans
     * @return non-empty-list<array{string, float|int, float|int, 3?: float|int, 4?: float|int, 5?: float|int, 6?: float|int}>
     */
    private static function path(array $spans, float $beforeMm, float $afterMm): array
    {
        [$first, $last] = [$spans[0], $spans[count($spans) - 1]];
        $start = $first->from->minus($first->runs(0.0)->unit()->times($beforeMm));
        $path = [['M', ...self::page($start)]];
        foreach ($spans as $span) {
            $path[] = $span->isStraight()
                ? ['L', ...self::page($span->to)]
                : ['C', ...self::page($span->first), ...self::page($span->second), ...self::page($span->to)];
        }
        if ($afterMm > 0.0) {
            $end = self::page($last->to->plus($last->runs(1.0)->unit()->times($afterMm)));
            // A straight one is but a little longer.
            $path[$last->isStraight() ? count($path) - 1 : count($path)] = ['L', ...$end];
        }

        return $path;
    }
}

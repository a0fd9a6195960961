<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Crimped;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Plate\Plate;
use Hebra\Core\Wire\SectionKind;
use Hebra\Core\Wire\Wire;

/**
 * Courses as they are seen from a side: turned about the part's upright axis, and a little aside, so that an eye on
 * edge
 * is the narrow oval that makers know while what faces the viewer keeps its true size. What is nearer covers what is
 * farther: a wire is told in strokes that end where it passes from one depth to another.
 *
 * @phpstan-import-type Path from Stroke
 */
final class Seen
{
    /** What links into other parts is told apart before and behind them; the rest only where it is far off. */
    private const LINKS = [SegmentKind::Loop, SegmentKind::Eye];

    /** Of what is wound close round something the near halves hide the far ones. */
    private const WOUND = [SegmentKind::Wraps, SegmentKind::Coil, SegmentKind::Binding, SegmentKind::Weave];

    /** Of the wire's thickness: how deep it is before it is no longer in the plane, and before it is far from it. */
    private const FLAT = 0.05;

    private const BENT = 0.3;

    private const FAR = 3.0;

    private const STEADY = 0.2;

    /** Of the wire's thickness: so deep what is wound lies behind what it is wound on. */
    private const BEHIND = 1.5;

    /** Of the wire's thickness: a straight stretch that is longer is not wound on anything. */
    private const LONG = 12.0;

    /** A smaller share of a span is not told apart. */
    private const SLIVER = 0.15;

    /** How little of a turn's bulge lies towards the viewer where it is seen from its end. */
    private const ASIDE_BULGE = 0.5;

    /** Of the wire's thickness: what strays no farther from a line is seen as one. */
    private const NEARLY = 0.06;

    /** Of the wire's thickness: turns so wide go round more than a wire. */
    private const WIDE = 3.5;

    /** Where half a turn is looked at, whether a bead lies behind it there: shares of it. */
    private const LOOKED_AT = [0.05, 0.3, 0.7, 0.95];

    /** Of its size: so little depth a turn has that is seen from its end. */
    private const END_ON = 0.35;

    /** The cosine of a turn that is seen as a corner. */
    private const STRAIGHT_ON = 0.97;

    /** So much of its thickness a stroke runs on under the next, that no seam is seen. */
    private const JOIN = 0.06;

    private readonly float $cos;

    private readonly float $sin;

    /**
     * @var array<string, array{Span, list<SeenSpan>}> how spans are seen that copies are made of; kept, so that none
     *     gets the number of another
     */
    private array $known = [];

    /** @var array<string, Path> paths of such */
    private array $paths = [];

    /** How far off the last copy was told, and is looked at. */
    private ?Vector $lastBy = null;

    private ?Vector $lastTurned = null;

    /** @var list<Stroke> */
    private array $strokes = [];

    /** @var list<BeadMark> */
    private array $beads = [];

    /** @var list<SeenBead> */
    private array $bodies = [];

    /** @param  float  $degrees  how far it is turned about its upright axis before it is looked at */
    public function __construct(float $degrees, private readonly bool $isFromAbove = false)
    {
        [$this->cos, $this->sin] = [round(cos(deg2rad($degrees)), 9), round(sin(deg2rad($degrees)), 9)];
    }

    /** A point of the part as it is looked at: x to the right, y down, z to the viewer. */
    public function turned(Vector $at): Vector
    {
        $turned = $this->sin === 0.0 && $this->cos > 0.0
            ? $at
            : new Vector($this->cos * $at->x + $this->sin * $at->z, $at->y, $this->cos * $at->z - $this->sin * $at->x);

        // From above it is looked at straight: what the page shifts aside by its depth is taken back.
        return $this->isFromAbove
            ? new Vector($turned->x + SeenPath::ASIDE * $turned->y, $turned->z, -$turned->y)
            : $turned;
    }

    /** @return array{float, float} where a point of the part is on the page */
    public function page(Vector $at): array
    {
        return SeenPath::page($this->turned($at));
    }

    /** Where an eye of the part is seen. */
    public function placed(Placement $eye, bool $flips): Placement
    {
        [$x, $y] = SeenPath::page($this->turned(new Vector($eye->xMm, $eye->yMm, $eye->zMm)));

        return new Placement($y, $eye->facing !== $flips, $x);
    }

    public function figure(): PieceFigure
    {
        return new PieceFigure($this->strokes, $this->beads);
    }

    /** @param  list<array{Course, Wire}>  $courses  of one part */
    public function part(array $courses): void
    {
        $this->bodies = [];
        foreach ($courses as [$course]) {
            array_push($this->bodies, ...$this->bodiesOf($course));
        }
        // The farthest first.
        usort($this->bodies, fn (SeenBead $one, SeenBead $other): int => $one->depth() <=> $other->depth());
        foreach ($this->bodies as $body) {
            $body->layer = match (true) {
                $body->isFarBehind() => 0,
                $body->hidesItsEye() => 2,
                $this->isBeforeBead($body->at, 0.0) => 2,
                default => 1,
            };
            $this->beads[] = $body->mark();
        }
        foreach ($courses as [$course, $wire]) {
            $this->course($course, $wire);
        }
    }

    /** A flat part: its face over its back; seen on edge, the band between them. */
    public function plate(Plate $plate, string $mark): void
    {
        $drawn = new SeenPlate($plate, $this->turned(...), $mark);
        array_push($this->strokes, ...$drawn->strokes());
    }

    /** @return list<SeenBead> */
    private function bodiesOf(Course $course): array
    {
        $bodies = [];
        foreach ($course->curves() as $place => $curve) {
            $move = $course->moves[$place];
            foreach ($move->isSeen() ? $move->standing($curve) : [] as [$run, $at, $runs]) {
                $bodies[] = new SeenBead(
                    $run, $move, $this->turned($at), $this->turned($runs), $this->turned($run->face),
                );
            }
        }

        return $bodies;
    }

    private function course(Course $course, Wire $wire): void
    {
        [$pieces, $wireMm] = [[], $wire->diameterMm()];
        foreach ($course->curves() as $place => $curve) {
            $move = $course->moves[$place];
            if (! $move->isSeen()) {
                continue;
            }
            $this->crimps($move, $curve, $wire);
            foreach ($curve->spans as $span) {
                array_push($pieces, ...$this->pieces($span, $move, $wireMm));
            }
        }
        $this->draw(self::steadied($pieces, $wireMm), $wire, $course->colour);
    }

    /**
     * What lies near the bound between two ranks keeps that of what comes before it on its stretch: each change is a
     * seam.
     *
     * @param  list<SeenSpan>  $pieces
     * @return list<SeenSpan>
     */
    private static function steadied(array $pieces, float $wireMm): array
    {
        foreach ($pieces as $at => $piece) {
            $before = $pieces[$at - 1] ?? $piece;
            if ($before->move !== $piece->move || self::isWound($piece->move)) {
                continue;
            }
            if (abs(abs($piece->told->at(0.5)->z / $wireMm) - self::BENT) < self::STEADY) {
                $pieces[$at] = $piece->ranked($before->layer, $before->rank);
            }
        }

        return $pieces;
    }

    /** Before a run of beads and after it. */
    private function crimps(Move $move, Curve $curve, Wire $wire): void
    {
        $mm = 0.0;
        foreach ($move->threaded() as $run) {
            $mm = $run->atMm ?? $mm;
            $beads = $run->count * $run->bead->lengthMm;
            if ($run->held !== null) {
                [$before, $after] = [$run->held->beforeMm(), $run->held->afterMm()];
                $this->crimp($curve, $mm, $before, $run->held, $wire);
                $this->crimp($curve, $mm + $before + $beads, $after, $run->held, $wire);
                $beads += $before + $after;
            }
            $mm += $beads;
        }
    }

    private function crimp(Curve $curve, float $fromMm, float $longMm, Crimped $crimp, Wire $wire): void
    {
        if ($longMm === 0.0) {
            return;
        }
        [$one, $other] = array_map(
            fn (float $mm): array => SeenPath::page($this->turned($curve->at($mm)[0])), [$fromMm, $fromMm + $longMm],
        );
        $this->strokes[] = new Stroke(
            [['M', ...$one], ['L', ...$other]], $crimp->wideMm, $wire->metal, 1, $crimp->mark, true, 1,
        );
    }

    /** @return list<SeenSpan> */
    private function pieces(Span $span, Move $move, float $wireMm): array
    {
        $by = $this->turnedBy($span->by);
        // What may lie before a bead is seen where it is.
        $isNear = $this->bodies !== [] && $this->turned($span->at(0.5))->z > self::FAR * $wireMm;
        if ($span->original === null || $by === null || abs($by->z) > 1e-9 || $isNear) {
            return $this->seen($span, $move, $wireMm);
        }
        $key = spl_object_id($span->original).'/'.$wireMm;
        [, $pieces] = $this->known[$key] ??= [$span->original, $this->seen($span->original, $move, $wireMm)];

        $copies = [];
        foreach ($pieces as $piece) {
            $copies[] = $piece->moved($by);
        }

        return $copies;
    }

    /** How far off a copy is looked at: the same for all spans of a repeat. */
    private function turnedBy(?Vector $by): ?Vector
    {
        if ($by !== $this->lastBy) {
            [$this->lastBy, $this->lastTurned] = [$by, $by === null ? null : $this->turned($by)];
        }

        return $this->lastTurned;
    }

    /**
     * A span, parted where it passes through the plane of its part; what is wound, where it passes from the near side
     * of what it goes round to the far one.
     *
     * @return list<SeenSpan>
     */
    private function seen(Span $span, Move $move, float $wireMm): array
    {
        $turned = new Span(
            $this->turned($span->from), $this->turned($span->first), $this->turned($span->second),
            $this->turned($span->to),
        );
        if (self::isWound($move) && ! self::isFlat($turned)) {
            $pieces = self::wound($turned, $move, $wireMm);

            return self::bulge($turned)->lengthMm() < self::WIDE * $wireMm
                ? $pieces
                : array_map(fn (SeenSpan $part): SeenSpan => $this->overBeads($part, $wireMm), $pieces);
        }
        $parts = [$turned];
        if ($turned->from->z * $turned->to->z < 0) {
            $share = $turned->passes(0.0);
            $parts = min($share, 1 - $share) < self::SLIVER ? [$turned] : $turned->parted($share);
        }

        return array_map(
            fn (Span $part): SeenSpan => new SeenSpan($part, $move, ...$this->place($part, $move, $wireMm)), $parts,
        );
    }

    /**
     * Its layer and its rank there: what carries beads lies with the farthest of those on it, never after one; else it
     * is
     * drawn after what it lies before.
     *
     * @return array{int, int}
     */
    private function place(Span $part, Move $move, float $wireMm): array
    {
        $at = $part->at(0.5);
        $carried = $this->layerOn($move, $at, $part->to->minus($part->from)->lengthMm() / 2);
        [$layer, $rank] = self::depth($part, $move, $wireMm);

        return match (true) {
            $carried !== null && $carried < 2 => [min($layer, $carried), $rank],
            $carried !== null || ($at->z > self::FAR * $wireMm && $this->isBeforeBead($at, $wireMm)) => [2, 0],
            default => [$layer, $rank],
        };
    }

    /** The near half of a turn, before the beads that it passes before, as what is wound over bound beads does. */
    private function overBeads(SeenSpan $half, float $wireMm): SeenSpan
    {
        foreach ($half->rank > 0 ? self::LOOKED_AT : [] as $share) {
            if ($this->isBeforeBead($half->told->at($share), $wireMm)) {
                return $half->ranked(2, $half->rank);
            }
        }

        return $half;
    }

    /**
     * The farthest layer of the beads on a stretch, or of the nearest where none stands there; null where it carries
     * none.
     */
    private function layerOn(Move $move, Vector $at, float $withinMm): ?int
    {
        [$nearest, $least, $farthest] = [null, INF, null];
        foreach ($this->bodies as $body) {
            if ($body->move !== $move) {
                continue;
            }
            $far = $body->at->minus($at)->lengthMm();
            if ($far < $least) {
                [$nearest, $least] = [$body->layer, $far];
            }
            if ($far <= $withinMm) {
                $farthest = min($farthest ?? $body->layer, $body->layer);
            }
        }

        return $farthest ?? $nearest;
    }

    /** Whether it lies before what of a bead is seen there, those far behind apart. */
    private function isBeforeBead(Vector $at, float $wireMm): bool
    {
        foreach ($this->bodies as $bead) {
            if ($bead->layer > 0 && $bead->isCoveredBy($at, $wireMm)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it bulges to no side: a straight stretch, or one that was pushed a little aside. */
    private static function isFlat(Span $span): bool
    {
        return self::bulge($span)->lengthMm() < self::FLAT * $span->to->minus($span->from)->lengthMm();
    }

    /** How far its middle lies off the line between its ends, and to which side. */
    private static function bulge(Span $span): Vector
    {
        return $span->at(0.5)->minus($span->from->plus($span->to)->times(0.5));
    }

    private static function isWound(Move $move): bool
    {
        return in_array($move->segment->kind, self::WOUND, true);
    }

    /**
     * The near side of a turn bulges towards the viewer.
     *
     * @return list<SeenSpan>
     */
    private static function wound(Span $span, Move $move, float $wireMm): array
    {
        [$middle, $bulge] = [$span->from->plus($span->to)->times(0.5), self::bulge($span)];
        $z = $middle->z / $wireMm;
        // Seen from the end of what it goes round it is a ring.
        $depth = hypot($bulge->z, ($span->to->z - $span->from->z) / 2);
        if ($depth < self::END_ON * max($bulge->lengthMm(), $span->to->minus($span->from)->lengthMm() / 2)) {
            return [new SeenSpan($span, $move, $z < -self::BEHIND ? 0 : 1, 0)];
        }
        $isAside = abs($bulge->z) < self::ASIDE_BULGE * $bulge->lengthMm();
        $pieces = [];
        foreach ($isAside ? $span->parted(0.5) : [$span] as $part) {
            $isNear = ($isAside ? $part->at(0.5)->z - $middle->z : $bulge->z) > 0.0;
            $isHidden = ! $isNear || ($z < -self::BEHIND && $z > -2 * self::FAR);
            $pieces[] = new SeenSpan($part, $move, $z < -self::BEHIND ? 0 : 1, $isHidden ? -1 : 1);
        }

        return $pieces;
    }

    /** @return array{int, int} its layer, and its rank in it */
    private static function depth(Span $span, Move $move, float $wireMm): array
    {
        $z = $span->at(0.5)->z / $wireMm;
        $side = $z <=> 0.0;

        return match (true) {
            in_array($move->segment->kind, self::LINKS, true) => [abs($z) > self::FLAT ? 1 + $side : 1, 0],
            // What is still to be wound is a straight length of wire.
            self::isWound($move) && abs($z) > self::BENT => [1, self::isLong($span, $wireMm) ? max(0, $side) : $side],
            $z < -self::FAR => [0, 0],
            $z > self::FAR => [1, 2],
            default => [1, abs($z) > self::BENT ? $side : 0],
        };
    }

    private static function isLong(Span $span, float $wireMm): bool
    {
        return $span->isStraight() && $span->lengthMm() > self::LONG * $wireMm;
    }

    /** @param  list<SeenSpan>  $pieces */
    private function draw(array $pieces, Wire $wire, string $colour): void
    {
        $strokes = [[], []];
        $near = [];
        $from = 0;
        foreach ($pieces as $at => $piece) {
            $next = $pieces[$at + 1] ?? null;
            if ($next !== null && $piece->goesOnIn($next)) {
                continue;
            }
            $isWound = self::isWound($piece->move);
            if (! $isWound || $piece->rank >= 0) {
                $isEnd = $isWound
                    || self::ends($pieces[$from - 1] ?? null, $pieces[$from])
                    || self::ends($piece, $next);
                /** @var non-empty-list<SeenSpan> $run */
                $run = array_slice($pieces, $from, $at + 1 - $from);
                $join = $isWound ? 0.0 : self::JOIN * $wire->diameterMm();
                if ($isWound && $piece->rank > 0) {
                    $depth = $run[0]->told->at(0.5)->z / $wire->diameterMm();
                    $near[spl_object_id($piece->move)][count($strokes[0])] = $depth;
                }
                $strokes[$isEnd ? 0 : 1][] = new Stroke(
                    $this->path($run, $from > 0 ? $join : 0.0, $next !== null ? $join : 0.0, $wire),
                    $piece->move->wideMm ?? $this->wide($run, $wire), $wire->metal, $piece->layer,
                    $piece->move->segment->mark, section: $wire->size->kind(),
                    runsOn: $piece->move->wideMm === null ? ! $isEnd : ! $piece->move->isRounded, rank: $piece->rank,
                    colour: $colour,
                );
            }
            $from = $at + 1;
        }
        // The ends of a wire are round; where they run on, what they run into covers that.
        foreach ([...self::overEachOther($strokes[0], $near), ...$strokes[1]] as $stroke) {
            $this->strokes[] = $stroke;
        }
    }

    /**
     * What is wound over other turns is drawn after them, whichever comes first on its wire.
     *
     * @param  list<Stroke>  $strokes
     * @param  array<int, non-empty-array<int, float>>  $near  how near the near halves of the turns of each move are,
     *     in thicknesses of the wire, by their places
     * @return list<Stroke>
     */
    private static function overEachOther(array $strokes, array $near): array
    {
        $least = min([INF, ...array_map(fn (array $halves): float => max($halves), $near)]);
        $lies = [];
        foreach ($near as $halves) {
            $lies += array_fill_keys(array_keys($halves), (int) round(max($halves) - $least));
        }
        ksort($lies);
        $places = array_keys($lies);
        asort($lies);
        $ordered = $strokes;
        foreach (array_keys($lies) as $at => $place) {
            $ordered[$places[$at]] = $strokes[$place];
        }

        return array_values($ordered);
    }

    /**
     * How wide wire is seen: of what is not round its thickness where it is bent in the page, its width where it is
     * bent
     * towards the viewer or wound.
     *
     * @param  non-empty-list<SeenSpan>  $run
     */
    private function wide(array $run, Wire $wire): float
    {
        if ($wire->size->kind() === SectionKind::Round) {
            return $wire->diameterMm();
        }
        $section = $wire->size->section();
        $bent = array_values(array_filter($run, fn (SeenSpan $piece): bool => ! $piece->told->isStraight()));
        $one = $bent[intdiv(count($bent), 2)] ?? null;
        $axis = $one === null
            ? $this->turned(new Vector(0.0, 0.0, 1.0))
            : $one->told->runs(0.0)->cross($one->told->runs(1.0))->unit();
        $across = self::isWound($run[0]->move) ? 1.0 : sqrt(max(0.0, 1 - $axis->z ** 2));

        return $section->thicknessMm() + ($section->widthMm() - $section->thicknessMm()) * $across;
    }

    /**
     * Copies of what is known are moved on the page.
     *
     * @param  non-empty-list<SeenSpan>  $run
     * @return Path
     */
    private function path(array $run, float $beforeMm, float $afterMm, Wire $wire): array
    {
        $path = new SeenPath(self::NEARLY * $wire->diameterMm());
        $by = $run[0]->by;
        foreach ($run as $piece) {
            if ($piece->by === null || ($piece->by !== $by && $piece->by != $by)) {
                return $path->through(
                    array_map(fn (SeenSpan $one): Span => $one->span(), $run), $beforeMm, $afterMm,
                );
            }
        }
        $key = count($run) === 1
            ? spl_object_id($run[0]->told)."/{$beforeMm}/{$afterMm}"
            : implode('/', array_map(fn (SeenSpan $one): int => spl_object_id($one->told), $run))
                ."/{$beforeMm}/{$afterMm}";
        $this->paths[$key] ??= $path->through(
            array_map(fn (SeenSpan $one): Span => $one->told, $run), $beforeMm, $afterMm,
        );

        return Stroke::shifted($this->paths[$key], ...SeenPath::page($by ?? new Vector(0.0, 0.0)));
    }

    /** Whether a wire ends between two spans, or turns a corner there. */
    private static function ends(?SeenSpan $one, ?SeenSpan $other): bool
    {
        return $one === null || $other === null
            || $one->told->runs(1.0)->unit()->dot($other->told->runs(0.0)->unit()) < self::STRAIGHT_ON;
    }
}

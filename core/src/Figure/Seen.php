<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Crimped;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Repeat;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Plate\Plate;
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

    /** Of the wire's thickness: how deep it is before it is no longer in the plane, and before it is far from it. */
    private const FLAT = 0.05;

    private const FAR = 3.0;

    /** Of the wire's thickness: so deep what is wound lies behind what it is wound on. */
    private const BEHIND = 1.5;

    /** Of the wire's thickness: a straight stretch that is longer is not wound on anything. */
    private const LONG = 12.0;

    /** A smaller share of a span is not told apart. */
    private const SLIVER = 0.15;

    /** How little of a turn's bulge lies towards the viewer where it is seen from its end. */
    private const ASIDE_BULGE = 0.5;

    /** Of the wire's thickness: turns so wide go round more than a wire. */
    private const WIDE = 3.5;

    /** Where half a turn is looked at, whether a bead lies behind it there: shares of it. */
    private const LOOKED_AT = [0.05, 0.3, 0.7, 0.95];

    /** Of its size: so little depth a turn has that is seen from its end. */
    private const END_ON = 0.35;

    /** Copies whose depth differs no more, mm, are seen alike. */
    private const LEVEL = 1e-9;

    /** In the middle of a turn, or of its halves, it is nearest. */
    private const MIDDLES = [0.25, 0.5, 0.75];

    /** Of its thickness: so far from its middle line a wire reaches, with its rim. */
    private const ABOUT = 1.0;

    /** What is told more often than this is not looked at each time. */
    private const OFTEN = 3;

    /** From the front, as it lies. */
    private readonly bool $isStraightOn;

    private readonly float $cos;

    private readonly float $sin;

    /**
     * @var array<string, array{Span, list<SeenSpan>}> how spans are seen that copies are made of; kept, so that none
     *     gets the number of another
     */
    private array $known = [];

    private readonly KnownPaths $paths;

    /** @var array<string, array{Course, list<Stroke>}> how wires are seen beside the beads that are there */
    private array $drawn = [];

    /** How far off the last copy was told, and is looked at. */
    private ?Vector $lastBy = null;

    private ?Vector $lastTurned = null;

    private ?Move $lastMove = null;

    private string $lastKind = '';

    /** Of which wires the beads are that stand there. */
    private string $beside = '';

    /** @var array<int, array{Course, list<SeenBead>}> the beads on each wire */
    private array $standing = [];

    private Glimpse $glimpse;

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
        $this->isStraightOn = $this->sin === 0.0 && $this->cos > 0.0 && ! $isFromAbove;
        $this->paths = new KnownPaths;
        $this->glimpse = Glimpse::all();
    }

    /** @param  float  $turned  how many degrees further */
    public static function from(View $view, float $turned = 0.0): self
    {
        return new self($turned + $view->degrees(), $view === View::Top);
    }

    /** A point of the part as it is looked at: x to the right, y down, z to the viewer. */
    public function turned(Vector $at): Vector
    {
        if ($this->isStraightOn) {
            return $at;
        }
        $turned = new Vector(
            $this->cos * $at->x + $this->sin * $at->z, $at->y, $this->cos * $at->z - $this->sin * $at->x,
        );

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

    /**
     * Some wires of a part, alone: those that lie as they did when they were last looked at are not drawn again.
     *
     * @param  list<array{Course, Wire}>  $courses
     */
    public function alone(array $courses, Glimpse $glimpse): PieceFigure
    {
        [$this->strokes, $this->beads, $this->glimpse] = [[], [], $glimpse];
        $this->part($courses);

        return $this->figure();
    }

    /** @param  list<array{Course, Wire}>  $courses  of one part */
    public function part(array $courses): void
    {
        $this->stand(array_column($courses, 0));
        foreach ($this->bodies as $body) {
            if ($this->glimpse->isTaken($mark = $body->mark())) {
                $this->beads[] = $mark;
            }
        }
        foreach ($courses as [$course, $wire]) {
            $key = spl_object_id($course)." {$this->beside} {$this->glimpse->key}";
            $this->drawn[$key] ??= [$course, $this->course($course, $wire)];
            array_push($this->strokes, ...$this->drawn[$key][1]);
        }
    }

    /**
     * The beads on some wires, the farthest first, and which of them lie before others: those that stand already are
     * not laid again.
     *
     * @param  list<Course>  $courses
     */
    private function stand(array $courses): void
    {
        $standing = [];
        foreach ($courses as $course) {
            $standing[spl_object_id($course)] = $this->bodiesOf($course);
        }
        $beside = implode(' ', array_keys(array_filter($standing)));
        if ($beside === $this->beside) {
            return;
        }
        // What is seen beside other beads may lie before them.
        [$this->beside, $this->known, $this->bodies] = [$beside, [], array_merge(...$standing)];
        usort($this->bodies, fn (SeenBead $one, SeenBead $other): int => $one->depth() <=> $other->depth());
        foreach ($this->bodies as $body) {
            $body->layer = match (true) {
                $body->isFarBehind() => 0,
                $body->hidesItsEye() => 2,
                $this->isBeforeBead($body->at, 0.0) => 2,
                default => 1,
            };
        }
    }

    /** A flat part: its face over its back; seen on edge, the band between them. */
    public function plate(Plate $plate, string $mark): void
    {
        $drawn = new SeenPlate($plate, $this->turned(...), $mark);
        array_push($this->strokes, ...$drawn->strokes());
    }

    /** How far a stretch reaches, whatever it lies before: across from one corner of that to the other. */
    private function trace(Move $move, Curve $curve, Wire $wire): ?Stroke
    {
        [$xs, $ys] = [[], []];
        foreach ($curve->repeats() as $repeat) {
            foreach ([$repeat->times[0], $repeat->times[count($repeat->times) - 1]] as $spans) {
                foreach ((new Curve($spans))->about() as $point) {
                    [$xs[], $ys[]] = $this->page($point);
                }
            }
        }

        return $xs === [] || $ys === [] ? null : new Stroke(
            [['M', min($xs), min($ys)], ['L', max($xs), max($ys)]], $move->wideMm ?? $wire->diameterMm(),
            $wire->metal, 1, $move->segment->mark,
        );
    }

    /** @return list<SeenBead> */
    private function bodiesOf(Course $course): array
    {
        $known = $this->standing[spl_object_id($course)] ??= [$course, $this->lookedAtOn($course)];

        return $known[1];
    }

    /** @return list<SeenBead> */
    private function lookedAtOn(Course $course): array
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

    /** @return list<Stroke> */
    private function course(Course $course, Wire $wire): array
    {
        $seen = new SeenWire($wire, $course->colour, $this->paths, $this->turned(new Vector(0.0, 0.0, 1.0)));
        $crimps = [];
        foreach ($course->curves() as $place => $curve) {
            $move = $course->moves[$place];
            if (! $move->isSeen() || ! $this->glimpse->takes($move->segment->mark)) {
                continue;
            }
            array_push($crimps, ...$this->crimps($move, $curve, $wire));
            if ($this->glimpse->isReach() && $move->segment->kind === SegmentKind::Weave) {
                array_push($crimps, ...array_filter([$this->trace($move, $curve, $wire)]));

                continue;
            }
            $repeats = $curve->repeats();
            $seen->comesNear($move, fn (): float => $this->nearestMm($repeats));
            foreach ($repeats as $repeat) {
                $this->repeat($repeat, $move, $seen);
            }
        }

        return [...$crimps, ...$seen->strokes()];
    }

    /**
     * How near to the viewer a stretch comes, as it is looked at, mm: all of it, whether it is in the window or not.
     *
     * @param  list<Repeat>  $repeats
     */
    private function nearestMm(array $repeats): float
    {
        $nearest = -INF;
        foreach ($repeats as $repeat) {
            foreach ([0, count($repeat->times) - 1] as $time) {
                foreach ($repeat->times[$time] as $span) {
                    foreach (self::MIDDLES as $share) {
                        $z = $this->isStraightOn ? $span->depthAt($share) : $this->turned($span->at($share))->z;
                        $nearest = max($nearest, $z);
                    }
                }
            }
        }

        return $nearest;
    }

    /** What is wound again and again is looked at as a copy of the second time, but for the first and the last. */
    private function repeat(Repeat $repeat, Move $move, SeenWire $seen): void
    {
        $near = $this->nearTimes($repeat, $seen->wire);
        if ($near === []) {
            $seen->breaksOff();

            return;
        }
        $last = count($repeat->times) - 1;
        $further = $last < self::OFTEN || ! $move->segment->kind->isWound()
            ? null
            : $this->further($repeat, $seen->wire->diameterMm());
        $second = $further === null ? [] : $this->allPieces($repeat->times[1], $move, $seen->wire);
        $isApart = $second !== [] && ! $second[count($second) - 1]->goesOnIn($second[0]);
        foreach ($repeat->times as $time => $spans) {
            if ($time === 1 && $isApart) {
                $seen->winds($second, array_values(array_intersect_key($further, $near)));
            } elseif (! $isApart || $time === 0 || $time === $last) {
                isset($near[$time]) ? $this->goOn($spans, $move, $seen) : $seen->breaksOff();
            }
        }
    }

    /** @return array<int, true> by their places, which times are in the window, or might be */
    private function nearTimes(Repeat $repeat, Wire $wire): array
    {
        if ($this->glimpse->isEverywhere() || count($repeat->times) < 2) {
            return array_fill_keys(array_keys($repeat->times), true);
        }
        $pages = array_map(SeenPath::page(...), $this->points($repeat->times[0]));
        [$xs, $ys] = [array_column($pages, 0), array_column($pages, 1)];
        [$left, $top, $right, $bottom] = [min($xs), min($ys), max($xs), max($ys)];
        $near = [];
        foreach (array_keys($repeat->times) as $time) {
            [$x, $y] = $this->page($repeat->between(0, $time) ?? new Vector(0.0, 0.0));
            $bounds = [$left + $x, $top + $y, $right + $x, $bottom + $y];
            if ($this->glimpse->meets($bounds, self::ABOUT * $wire->diameterMm())) {
                $near[$time] = true;
            }
        }

        return $near;
    }

    /** @param  list<Span>  $spans */
    private function goOn(array $spans, Move $move, SeenWire $seen): void
    {
        [$wireMm, $isAll] = [$seen->wire->diameterMm(), $this->glimpse->isEverywhere()];
        foreach ($spans as $span) {
            if ($isAll || $this->isLookedAt($span, $wireMm)) {
                $seen->goesOn($this->pieces($span, $move, $wireMm));
            } else {
                $seen->breaksOff();
            }
        }
    }

    private function isLookedAt(Span $span, float $wireMm): bool
    {
        // So much longer at most it is seen where its depth stands aside.
        $aslant = hypot(1.0, SeenPath::ASIDE);

        return $this->glimpse->isNear(
            $this->turned($span->from), $aslant * $span->reachMm() + self::ABOUT * $wireMm,
        );
    }

    /**
     * @param  non-empty-list<Span>  $spans
     * @return non-empty-list<Vector> between which they lie, as they are looked at
     */
    private function points(array $spans): array
    {
        $points = [];
        foreach ($spans as $span) {
            array_push(
                $points, $this->turned($span->from), $this->turned($span->first), $this->turned($span->second),
                $this->turned($span->to),
            );
        }

        return $points;
    }

    /**
     * How far from the second time the others between it and the last are seen, by their places; null where they are
     * not seen alike.
     *
     * @return array<int, Vector>|null
     */
    private function further(Repeat $repeat, float $wireMm): ?array
    {
        if ($this->mayLieBeforeBeads($repeat->times[1], $wireMm)) {
            return null;
        }
        $further = [];
        for ($time = 2; $time < count($repeat->times) - 1; $time++) {
            $by = $repeat->between(1, $time);
            $turned = $by === null ? null : $this->turned($by);
            if ($turned === null || abs($turned->z) > self::LEVEL) {
                return null;
            }
            $further[$time] = $turned;
        }

        return $further;
    }

    /** @param  list<Span>  $spans */
    private function mayLieBeforeBeads(array $spans, float $wireMm): bool
    {
        foreach ($this->bodies === [] ? [] : $spans as $span) {
            if ($this->middleZ($span) > self::FAR * $wireMm) {
                return true;
            }
        }

        return false;
    }

    private function middleZ(Span $span): float
    {
        return $this->isStraightOn ? $span->depthAt(0.5) : $this->turned($span->at(0.5))->z;
    }

    /**
     * @param  list<Span>  $spans
     * @return list<SeenSpan>
     */
    private function allPieces(array $spans, Move $move, Wire $wire): array
    {
        return array_merge(...array_map(
            fn (Span $span): array => $this->pieces($span, $move, $wire->diameterMm()), $spans,
        ));
    }

    /** @return list<Stroke> before a run of beads and after it */
    private function crimps(Move $move, Curve $curve, Wire $wire): array
    {
        [$crimps, $mm] = [[], 0.0];
        foreach ($move->threaded() as $run) {
            $mm = $run->atMm ?? $mm;
            $beads = $run->count * $run->bead->lengthMm;
            if ($run->held !== null) {
                [$before, $after] = [$run->held->beforeMm(), $run->held->afterMm()];
                array_push(
                    $crimps, ...$this->crimp($curve, $mm, $before, $run->held, $wire),
                    ...$this->crimp($curve, $mm + $before + $beads, $after, $run->held, $wire),
                );
                $beads += $before + $after;
            }
            $mm += $beads;
        }

        return $crimps;
    }

    /** @return list<Stroke> none where there is nothing to press */
    private function crimp(Curve $curve, float $fromMm, float $longMm, Crimped $crimp, Wire $wire): array
    {
        if ($longMm === 0.0) {
            return [];
        }
        [$one, $other] = array_map(
            fn (float $mm): array => SeenPath::page($this->turned($curve->at($mm)[0])), [$fromMm, $fromMm + $longMm],
        );

        return [new Stroke(
            [['M', ...$one], ['L', ...$other]], $crimp->wideMm, $wire->metal, 1, $crimp->mark, true, 1,
        )];
    }

    /** @return list<SeenSpan> */
    private function pieces(Span $span, Move $move, float $wireMm): array
    {
        $by = $this->turnedBy($span->by);
        $isLevel = $by !== null && abs($by->z) < self::LEVEL;
        // What may lie before a bead is seen where it is.
        if (
            $span->original === null || ! $isLevel
            || ($this->bodies !== [] && $this->middleZ($span) > self::FAR * $wireMm)
        ) {
            return $this->seen($span, $move, $wireMm);
        }
        $key = spl_object_id($span->original).$this->kindOf($move, $wireMm);
        [, $pieces] = $this->known[$key] ??= [$span->original, $this->seen($span->original, $move, $wireMm)];

        $copies = [];
        foreach ($pieces as $piece) {
            $copies[] = $piece->copied($move, $by);
        }

        return $copies;
    }

    /** What spans that are seen alike are stretches of: the same for all of a move. */
    private function kindOf(Move $move, float $wireMm): string
    {
        if ($move !== $this->lastMove) {
            [$this->lastMove, $this->lastKind] = [$move, "/{$wireMm}/{$move->segment->kind->value}"];
        }

        return $this->lastKind;
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
        $turned = $this->isStraightOn ? $span : new Span(
            $this->turned($span->from), $this->turned($span->first), $this->turned($span->second),
            $this->turned($span->to),
        );
        if ($move->segment->kind->isWound()) {
            $bulgesMm = self::bulge($turned)->lengthMm();
            // What bulges to no side is straight, or was pushed a little aside.
            if ($bulgesMm >= self::FLAT * $turned->to->minus($turned->from)->lengthMm()) {
                $pieces = self::wound($turned, $move, $wireMm);

                return $bulgesMm < self::WIDE * $wireMm
                    ? $pieces
                    : array_map(fn (SeenSpan $part): SeenSpan => $this->overBeads($part, $wireMm), $pieces);
            }
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

    /** How far its middle lies off the line between its ends, and to which side. */
    private static function bulge(Span $span): Vector
    {
        [$from, $first, $second, $to] = [$span->from, $span->first, $span->second, $span->to];

        // Of (from + 3·first + 3·second + to)/8 less (from + to)/2.
        return new Vector(
            0.375 * ($first->x + $second->x - $from->x - $to->x), 0.375 * ($first->y + $second->y - $from->y - $to->y),
            0.375 * ($first->z + $second->z - $from->z - $to->z),
        );
    }

    /**
     * The near side of a turn bulges towards the viewer.
     *
     * @return list<SeenSpan>
     */
    private static function wound(Span $span, Move $move, float $wireMm): array
    {
        $bulge = self::bulge($span);
        $middleZ = ($span->from->z + $span->to->z) / 2;
        $z = $middleZ / $wireMm;
        // Seen from the end of what it goes round it is a ring.
        $depth = hypot($bulge->z, ($span->to->z - $span->from->z) / 2);
        if ($depth < self::END_ON * max($bulge->lengthMm(), $span->to->minus($span->from)->lengthMm() / 2)) {
            return [new SeenSpan($span, $move, $z < -self::BEHIND ? 0 : 1, 0)];
        }
        $isAside = abs($bulge->z) < self::ASIDE_BULGE * $bulge->lengthMm();
        $pieces = [];
        foreach ($isAside ? $span->parted(0.5) : [$span] as $part) {
            $isNear = ($isAside ? $part->at(0.5)->z - $middleZ : $bulge->z) > 0.0;
            $isHidden = ! $isNear || ($z < -self::BEHIND && $z > -2 * self::FAR);
            $pieces[] = new SeenSpan($part, $move, $z < -self::BEHIND ? 0 : 1, $isHidden ? -1 : 1);
        }

        return $pieces;
    }

    /** @return array{int, int} its layer, and its rank in it */
    private static function depth(Span $span, Move $move, float $wireMm): array
    {
        $z = $span->depthAt(0.5) / $wireMm;
        $side = $z <=> 0.0;

        return match (true) {
            in_array($move->segment->kind, self::LINKS, true) => [abs($z) > self::FLAT ? 1 + $side : 1, 0],
            // What is still to be wound is a straight length of wire.
            $move->segment->kind->isWound() && abs($z) > SeenWire::BENT => [
                1, self::isLong($span, $wireMm) ? max(0, $side) : $side,
            ],
            $z < -self::FAR => [0, 0],
            $z > self::FAR => [1, 2],
            default => [1, abs($z) > SeenWire::BENT ? $side : 0],
        };
    }

    private static function isLong(Span $span, float $wireMm): bool
    {
        return $span->isStraight() && $span->lengthMm() > self::LONG * $wireMm;
    }
}

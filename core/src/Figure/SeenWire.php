<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Closure;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Vector;
use Hebra\Core\Wire\SectionKind;
use Hebra\Core\Wire\Wire;

/**
 * One wire as it is seen: its stretches in the order of the wire, and the strokes that they are drawn in. What is wound
 * again and again is told once and drawn where it lies each time.
 */
final class SeenWire
{
    /** Of the wire's thickness: so deep it is no longer in the plane. */
    public const BENT = 0.3;

    /** Of the wire's thickness: what lies no farther from that bound keeps the rank of what comes before it. */
    private const STEADY = 0.2;

    /** The cosine of a turn that is seen as a corner. */
    private const STRAIGHT_ON = 0.97;

    /** So much of its thickness a stroke runs on under the next, that no seam is seen. */
    private const JOIN = 0.06;

    /** @var list<SeenSpan> */
    private array $pieces = [];

    /** @var array<int, array{int, list<Vector>}> where what is wound again ends: where it begins, and how far off */
    private array $again = [];

    /** @var array<int, true> before which of them some is not looked at */
    private array $breaks = [];

    /** @var list<Stroke> those that end, or turn a corner */
    private array $ending = [];

    /** @var list<Stroke> */
    private array $runningOn = [];

    /** @var array<int, Closure(): float> how near each move comes, mm */
    private array $nearMm = [];

    /** @var array<int, int> of which move near halves of turns are, by their places among those */
    private array $near = [];

    /** @param  Vector  $outwards  how what looks out of the part's plane looks from here, one millimetre long */
    public function __construct(
        public readonly Wire $wire, private readonly string $colour, private readonly KnownPaths $paths,
        private readonly Vector $outwards,
    ) {
    }

    /** @param  list<SeenSpan>  $pieces */
    public function goesOn(array $pieces): void
    {
        array_push($this->pieces, ...$pieces);
    }

    /** @param  Closure(): float  $nearMm  how near a stretch comes where it is nearest, mm, as it is looked at */
    public function comesNear(Move $move, Closure $nearMm): void
    {
        $this->nearMm[spl_object_id($move)] = $nearMm;
    }

    /** What follows is not looked at. */
    public function breaksOff(): void
    {
        $this->breaks[count($this->pieces)] = true;
    }

    /**
     * What neither goes on in what comes before it nor in what follows.
     *
     * @param  list<SeenSpan>  $pieces
     * @param  list<Vector>  $further  how far off each further time, as it is looked at
     */
    public function winds(array $pieces, array $further): void
    {
        $from = count($this->pieces);
        $this->goesOn($pieces);
        $this->again[count($this->pieces) - 1] = [$from, $further];
    }

    /** @return list<Stroke> */
    public function strokes(): array
    {
        $this->steady();
        $from = 0;
        $begun = [];
        foreach ($this->pieces as $at => $piece) {
            $next = $this->pieces[$at + 1] ?? null;
            if ($next !== null && $piece->goesOnIn($next) && ! isset($this->breaks[$at + 1])) {
                continue;
            }
            $begun[$from] = count($this->ending);
            $this->stroke($from, $at);
            if (isset($this->again[$at])) {
                [$first, $further] = $this->again[$at];
                $this->wind($begun[$first], $further);
            }
            $from = $at + 1;
        }

        // The ends of a wire are round; where they run on, what they run into covers that. What is wound covers both.
        $near = $this->overEachOther();

        return [...array_diff_key($this->ending, $near), ...$this->runningOn, ...$near];
    }

    /**
     * What lies near the bound between two ranks keeps that of what comes before it on its stretch: each change is a
     * seam.
     */
    private function steady(): void
    {
        foreach ($this->pieces as $at => $piece) {
            $before = $this->pieces[$at - 1] ?? $piece;
            if ($before->move !== $piece->move || $piece->isWound()) {
                continue;
            }
            if (abs(abs($piece->told->depthAt(0.5) / $this->wire->diameterMm()) - self::BENT) < self::STEADY) {
                $this->pieces[$at] = $piece->ranked($before->layer, $before->rank);
            }
        }
    }

    /** From one of its pieces to another; the far half of what is wound is hidden. */
    private function stroke(int $from, int $to): void
    {
        $piece = $this->pieces[$to];
        if ($piece->isWound() && $piece->rank < 0) {
            return;
        }
        /** @var non-empty-list<SeenSpan> $run */
        $run = array_slice($this->pieces, $from, $to + 1 - $from);
        if (! $piece->isWound()) {
            $this->straightOn($run, $this->pieces[$from - 1] ?? null, $this->pieces[$to + 1] ?? null);

            return;
        }
        if ($piece->rank > 0) {
            $this->near[count($this->ending)] = spl_object_id($piece->move);
        }
        $this->ending[] = $this->drawn($run, [0.0, 0.0], true);
    }

    /** @param  non-empty-list<SeenSpan>  $run */
    private function straightOn(array $run, ?SeenSpan $before, ?SeenSpan $next): void
    {
        $last = $run[count($run) - 1];
        $join = self::JOIN * $this->wire->diameterMm();
        $isEnd = self::ends($before, $run[0]) || self::ends($last, $next);
        $stroke = $this->drawn($run, [$before === null ? 0.0 : $join, $next === null ? 0.0 : $join], $isEnd);
        $isEnd ? $this->ending[] = $stroke : $this->runningOn[] = $stroke;
    }

    /**
     * @param  non-empty-list<SeenSpan>  $run
     * @param  array{float, float}  $joinsMm  how much further it runs at its beginning, and at its end
     */
    private function drawn(array $run, array $joinsMm, bool $isEnd): Stroke
    {
        $last = $run[count($run) - 1];

        return new Stroke(
            $this->paths->of($run, $joinsMm, $this->wire), $last->move->wideMm ?? $this->wide($run),
            $this->wire->metal, $last->layer, $last->move->segment->mark,
            runsOn: $last->move->wideMm === null ? ! $isEnd : ! $last->move->isRounded, rank: $last->rank,
            section: $this->wire->size->kind(), colour: $this->colour,
        );
    }

    /**
     * The strokes from one on, which are of one move, so much farther off each time, at one depth.
     *
     * @param  list<Vector>  $further
     */
    private function wind(int $from, array $further): void
    {
        $wound = array_slice($this->ending, $from, preserve_keys: true);
        foreach ($further as $by) {
            [$x, $y] = SeenPath::page($by);
            foreach ($wound as $place => $stroke) {
                if (isset($this->near[$place])) {
                    $this->near[count($this->ending)] = $this->near[$place];
                }
                $this->ending[] = $stroke->moved($x, $y);
            }
        }
    }

    /**
     * What is wound is drawn after what it is wound on, and over other turns after those, whichever comes first on its
     * wire.
     *
     * @return array<int, Stroke> the near halves of turns, by their places
     */
    private function overEachOther(): array
    {
        $moves = array_unique($this->near);
        $rounds = array_map(
            fn (int $move): int => count($moves) < 2
                ? 0
                : (int) round($this->nearMm[$move]() / $this->wire->diameterMm()),
            array_combine($moves, $moves),
        );
        $lies = array_map(fn (int $move): int => $rounds[$move], $this->near);
        asort($lies);

        $places = array_keys($lies);

        return array_combine($places, array_map(fn (int $place): Stroke => $this->ending[$place], $places));
    }

    /**
     * How wide wire is seen: of what is not round its thickness where it is bent in the page, its width where it is
     * bent towards the viewer or wound.
     *
     * @param  non-empty-list<SeenSpan>  $run
     */
    private function wide(array $run): float
    {
        if ($this->wire->size->kind() === SectionKind::Round) {
            return $this->wire->diameterMm();
        }
        $section = $this->wire->size->section();
        $bent = array_values(array_filter($run, fn (SeenSpan $piece): bool => ! $piece->told->isStraight()));
        $one = $bent[intdiv(count($bent), 2)] ?? null;
        $axis = $one === null
            ? $this->outwards
            : $one->told->runs(0.0)->cross($one->told->runs(1.0))->unit();
        $across = $run[0]->isWound() ? 1.0 : sqrt(max(0.0, 1 - $axis->z ** 2));

        return $section->thicknessMm() + ($section->widthMm() - $section->thicknessMm()) * $across;
    }

    /** Whether a wire ends between two spans, or turns a corner there. */
    private static function ends(?SeenSpan $one, ?SeenSpan $other): bool
    {
        if ($one === null || $other === null) {
            return true;
        }
        [$comes, $leaves] = [$one->told->runs(1.0), $other->told->runs(0.0)];

        return $comes->dot($leaves) <= self::STRAIGHT_ON * $comes->lengthMm() * $leaves->lengthMm();
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Working;

/**
 * A wire under way from where it starts to one of its ends: each move is laid where the one before it came to.
 * Millimetres.
 */
final class Laying
{
    /** Closer than this a wire is there; closer than its own thickness it needs no bend of its own to be. */
    public const THERE_MM = 0.005;

    /** A sweep whose middle line bends to less than so many of its wire's thickness is bent on the spot instead. */
    private const SHARP = 0.5;

    /** The cosine of what needs no bend, and of a wire that is folded back on itself. */
    private const AHEAD = 0.999;

    private const FOLDED = -0.94;

    /** How long the pull of a way is beside its chord: as on an arc of a quarter turn. */
    private const PULL = 0.39;

    /** The longest it may be, beside its chord: more than twice round. */
    private const MOST_PULL = 8.0;

    /** @var list<Move> from where it starts outwards */
    private array $moves = [];

    /** How far it was turned about itself since, degrees. */
    private float $rolled = 0.0;

    private string $firstBend = '';

    /** What is bent where the next move comes, as its wire runs to its first end. */
    private string $toBend = '';

    private string $mark = '';

    private string $name = '';

    /** @param  bool  $isBack  whether it goes to the first end of its wire */
    public function __construct(
        public readonly Construction $construction,
        public Frame $frame,
        public readonly float $wireMm,
        private readonly bool $isBack,
    ) {
    }

    /** What is laid next is so called. */
    public function marked(string $mark, string $name): void
    {
        [$this->mark, $this->name] = [$mark, $name];
    }

    public function mark(): string
    {
        return $this->mark;
    }

    /** What the hands do for all that was laid since so many moves were. */
    public function by(int $since, Handwork $handwork): void
    {
        $says = fn (): Handwork => $handwork;
        $this->moves = [
            ...array_slice($this->moves, 0, $since),
            ...array_map(fn (Move $move): Move => $move->by($says), array_slice($this->moves, $since)),
        ];
    }

    /** @return list<Move> */
    public function moves(): array
    {
        return $this->moves;
    }

    public function firstBend(): string
    {
        return $this->firstBend;
    }

    public function lengthMm(): float
    {
        return array_sum(array_map(fn (Move $move): float => $move->segment->lengthMm, $this->moves));
    }

    /** Bent on the spot: towards the side it bends to, or, where it is turned, about itself. */
    public function bend(float $degrees): void
    {
        $this->bends('bend '.Figures::trim(abs($degrees)).'°');
        $bend = Segment::given(
            SegmentKind::Straight, 0.0, 'bend', $this->mark, 'bent on the spot', 'its course',
        );
        $this->moves[] = new Move($bend, $this->afterTurns(new Corner($degrees)));
        [$this->frame, $this->rolled] = [$this->frame->bent(deg2rad($degrees)), 0.0];
    }

    public function turn(float $degrees): void
    {
        $this->rolled += $degrees;
        $this->frame = $this->frame->rolled(deg2rad($degrees));
    }

    /** A bend is marked at the end of the stretch before it, as the wire runs. */
    private function bends(string $words): void
    {
        $last = array_key_last($this->moves);
        if ($this->isBack) {
            $this->toBend = $words;
        } elseif ($last === null) {
            $this->firstBend = $words;
        } elseif ($this->moves[$last]->bendAfter === '') {
            $this->moves[$last] = $this->moves[$last]->bending($words);
        }
    }

    /**
     * @param  list<Threaded>  $threaded  what stands on it, outwards; where along it, mm from its inner end
     * @param  list<Strung>  $beads
     */
    public function worked(
        SegmentKind $kind, float $mm, string $words, string $rule, string $numbers, Shape $shape, array $threaded = [],
        array $beads = [],
    ): void {
        $this->lay(
            new Segment($kind, $mm, $words, $this->mark, new Working($words, $rule, $numbers, $mm, 'mm', 'geometry')),
            $shape, $threaded, $beads,
        );
    }

    /**
     * @param  list<Threaded>  $threaded
     * @param  list<Strung>  $beads
     */
    public function lay(Segment $segment, Shape $shape, array $threaded = [], array $beads = []): void
    {
        if ($segment->lengthMm < 1e-9) {
            return;
        }
        [$spans, $end] = $shape->laid($this->frame);
        $this->construction->keeps($this->name, $spans, $this->wireMm);
        if ($this->isBack) {
            $turned = fn (Threaded $run): Threaded => self::turned($run, $segment->lengthMm);
            $threaded = array_reverse(array_map($turned, $threaded));
            $beads = array_reverse($beads);
        }
        $lies = $spans === [] ? $shape : new Laid($spans, $end);
        $move = new Move($segment->carrying($beads), $lies, $threaded);
        $this->moves[] = $this->toBend === '' ? $move : $move->bending($this->toBend);
        [$this->frame, $this->rolled, $this->toBend] = [$end, 0.0, ''];
    }

    /** The same told from the other end of its stretch. */
    private static function turned(Threaded $run, float $mm): Threaded
    {
        return new Threaded(
            $run->bead, $run->count, $run->mark, ! $run->isTurned, $run->held,
            $run->atMm === null ? null : $mm - $run->atMm - $run->count * $run->bead->lengthMm, $run->aside,
        );
    }

    /** What is laid by others where this came to. */
    public function afterTurns(Shape $shape): Shape
    {
        return $this->rolled === 0.0 ? $shape : new Rolled($shape, $this->rolled);
    }

    /** Straight on. */
    public function straight(float $mm, SegmentKind $kind = SegmentKind::Straight, string $words = 'straight'): void
    {
        $this->lay(
            Segment::given($kind, $mm, $words, $this->mark, 'as it is written', 'its course'), new Straight($mm),
        );
    }

    /**
     * To a place, to go on from there in a direction: in one sweep, or, where that would be too sharp or it is to,
     * straight with a bend at both its ends.
     */
    public function goTo(Vector $place, Vector $ahead, bool $isStraight = false): void
    {
        $mm = $place->minus($this->frame->at)->lengthMm();
        if ($mm > self::THERE_MM) {
            $span = $this->sweep($place, $ahead);
            if ($isStraight || $this->isSharp($span)) {
                $span = Span::straight($this->frame->at, $place);
                $mm > $this->wireMm && $this->bendTo($span->runs(0.0)->unit());
            }
            $this->laid(
                SegmentKind::Leg, 'the way there', [$span], 'the length of its curve', Figures::trim($span->lengthMm()),
            );
        }
        $mm > $this->wireMm && $this->bendTo($ahead);
        $this->frame = Start::standing($place, $ahead);
    }

    /**
     * The same in one sweep, with beads spread over it; bowed so that it takes so much wire, where that is said.
     *
     * @param  list<Strung>  $beads
     */
    public function goWith(Vector $place, Vector $ahead, array $beads, ?float $takesMm = null): void
    {
        $span = $takesMm === null ? $this->sweep($place, $ahead) : $this->bowed($place, $ahead, $takesMm);
        $mm = $span->lengthMm();
        $this->laid(
            $beads === [] ? SegmentKind::Leg : SegmentKind::Round,
            $beads === [] ? 'the way there' : 'the way there, with beads', [$span],
            $takesMm === null ? 'the length of its curve' : 'as it is written', Figures::trim($mm),
            $this->construction->spread($beads, $mm), $beads,
        );
        $this->frame = Start::standing($place, $ahead);
    }

    /** On the spot, where it is not headed there. */
    private function bendTo(Vector $ahead): void
    {
        $cosine = $this->frame->ahead->dot($ahead);
        if ($cosine < self::AHEAD) {
            $this->bends('bend');
        }
        if ($cosine < self::FOLDED) {
            $this->construction->folds();
        }
    }

    private function isSharp(Span $span): bool
    {
        foreach ([0.0, 0.1, 0.25, 0.5, 0.75, 0.9, 1.0] as $share) {
            if ($span->radiusMm($share) < self::SHARP * $this->wireMm) {
                return true;
            }
        }

        return false;
    }

    /** How long the way to a place is. */
    public function wayMm(Vector $place, Vector $ahead): float
    {
        $span = $this->sweep($place, $ahead);

        return $this->isSharp($span) ? $place->minus($this->frame->at)->lengthMm() : $span->lengthMm();
    }

    /** A sweep as long as it is to be: the longer its pull, the longer its way. An arc comes out as that arc. */
    private function bowed(Vector $place, Vector $ahead, float $mm): Span
    {
        [$least, $most] = [0.0, self::MOST_PULL];
        for ($step = 0; $step < 30; $step++) {
            $pull = ($least + $most) / 2;
            [$least, $most] = $this->sweep($place, $ahead, $pull)->lengthMm() < $mm ? [$pull, $most] : [$least, $pull];
        }

        return $this->sweep($place, $ahead, $least);
    }

    /** @param  float  $share  how long its pull is beside its chord */
    private function sweep(Vector $place, Vector $ahead, float $share = self::PULL): Span
    {
        $pull = $share * $place->minus($this->frame->at)->lengthMm();

        return new Span(
            $this->frame->at, $this->frame->at->plus($this->frame->ahead->times($pull)),
            $place->minus($ahead->times($pull)), $place,
        );
    }

    /**
     * Spans that lie where they are told.
     *
     * @param  list<Span>  $spans
     * @param  list<Threaded>  $threaded
     * @param  list<Strung>  $beads
     */
    public function laid(
        SegmentKind $kind, string $words, array $spans, string $rule, string $numbers, array $threaded = [],
        array $beads = [],
    ): void {
        if ($spans === []) {
            return;
        }
        $last = $spans[count($spans) - 1];
        $shape = new Laid($spans, Start::standing($last->to, $last->runs(1.0)->unit()));
        $this->worked($kind, $shape->lengthMm(), $words, $rule, $numbers, $shape, $threaded, $beads);
    }
}

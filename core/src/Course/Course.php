<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Closure;
use Hebra\Core\Copy;
use Hebra\Core\Course\Shape\Laid;

/**
 * The way of one wire from its first end to its last, told once: its cut, its bends and its curve are read off it. It
 * is anchored at one of its moves and goes out from there both ways, since what stands in the middle of a part is where
 * the maker places it from.
 */
final class Course
{
    /** @var list<Curve>|null */
    private ?array $curves = null;

    /** @var array<int, Frame> how the wire stands at the beginning of each move, outwards */
    private array $begins = [];

    /** @var array<int, array{list<Span>, Frame}> how each move lies from there, and how the wire stands at its end */
    private array $lies = [];

    /** @var array<string, self> in each state that was asked for */
    private array $formed = [];

    /**
     * @param  non-empty-list<Move>  $moves  in the order of the wire
     * @param  Frame|Closure(): Frame  $anchor
     * @param  int  $from  the first of them that goes out from the anchor with the wire; those before it, against it
     */
    public function __construct(
        public readonly string $label,
        public readonly string $role,
        public readonly array $moves,
        private readonly Frame|Closure $anchor,
        private readonly int $from = 0,
        public readonly int $times = 1,
        public readonly string $slot = '',
        public readonly ?float $pinMm = null,
        private readonly ?self $original = null,
        private readonly ?Vector $by = null,
        /** a colour of beads, of what is no metal: cord */
        public readonly string $colour = '',
        /** false of what is only drawn: the rim of a hole, what a part is bought with */
        public readonly bool $isWire = true,
        public readonly PinKind $pinKind = PinKind::Head,
    ) {
    }

    /** Drawn, and no wire of its own. */
    public function onlyDrawn(): self
    {
        return $this->with(['isWire' => false]);
    }

    /** As it is bought: nothing is done to it any more. */
    public function readyMade(): self
    {
        /** @var non-empty-list<Move> $moves */
        $moves = array_map(fn (Move $move): Move => $move->untouched(), $this->moves);

        return $this->with(['moves' => $moves]);
    }

    public function coloured(string $colour): self
    {
        return $this->with(['colour' => $colour]);
    }

    /** @param  array<string, mixed>  $changed */
    private function with(array $changed): self
    {
        $known = ['curves' => null, 'begins' => null, 'lies' => null, 'formed' => null];

        return Copy::of(self::class, array_diff_key(get_object_vars($this), $known), $changed);
    }

    /**
     * From both sides of an anchor: moves against the wire, from the anchor outwards, and moves with it.
     *
     * @param  list<Move>  $back
     * @param  list<Move>  $on
     * @param  Frame|Closure(): Frame  $anchor
     */
    public static function both(
        string $label, string $role, array $back, array $on, Frame|Closure $anchor, int $times,
    ): self {
        /** @var non-empty-list<Move> $moves */
        $moves = [...array_reverse($back), ...$on];

        return new self($label, $role, $moves, $anchor, count($back), $times);
    }

    /** It comes as a pin of a length; what is over is its last move. */
    public function pin(float $mm, PinKind $kind = PinKind::Head): self
    {
        return $this->with(['pinMm' => $mm, 'pinKind' => $kind]);
    }

    /** Another one alike, so far from it. */
    public function moved(Vector $by): self
    {
        return $this->with(['original' => $this, 'by' => $by]);
    }

    /** @return list<Curve> how each move lies, from the first end of the wire to its last */
    public function curves(): array
    {
        return $this->curves ??= $this->original !== null && $this->by !== null
            ? array_map(fn (Curve $curve): Curve => $curve->moved($this->by), $this->original->curves())
            : $this->laid();
    }

    /** @return list<Curve> */
    private function laid(): array
    {
        return $this->walked(function (int $at, Frame $frame): array {
            $this->begins[$at] = $frame;

            return $this->lies[$at] = $this->moves[$at]->shape->laid($frame);
        });
    }

    /** @return list<Span> a stretch from its anchor's side on */
    private function spansOf(int $at, Curve $curve): array
    {
        return ($at < $this->from ? $curve->reversed() : $curve)->spans;
    }

    /** How the wire stands at the end of one of its moves, outwards. */
    private function end(int $at): Frame
    {
        $this->curves();
        $end = $this->original?->end($at) ?? $this->lies[$at][1];

        return $this->by === null ? $end : $end->in($end->at->plus($this->by));
    }

    /**
     * The same, its stretches lying a little aside of where they would by themselves.
     *
     * @param  list<Move>  $moves  its own, with what stands on them now
     * @param  list<Curve>  $curves  how each lies: those that lie as they lay are the same
     */
    public function lying(array $moves, array $curves): self
    {
        $lying = [];
        foreach ($moves as $at => $move) {
            [$outwards, $was] = [$this->spansOf($at, $curves[$at]), $this->spansOf($at, $this->curves()[$at])];
            $isSame = $this->by === null && $curves[$at]->spans === $this->curves()[$at]->spans;
            $lying[] = $outwards === [] || $was === [] || $isSame
                ? $move
                : $move->lying(Laid::beside($outwards, $was[count($was) - 1], $this->end($at)));
        }
        /** @var non-empty-list<Move> $lying */
        [$start, $first, $was] = [$this->start(), $curves[$this->from]->spans[0] ?? null, $this->curves()[$this->from]];
        $turned = $first?->runs(0.0)->unit()->minus($was->spans[0]->runs(0.0)->unit());

        return new self(
            $this->label, $this->role, $lying,
            $first === null || $turned === null
                ? $start
                : Frame::turned($first->from, $start->ahead->plus($turned)->unit(), $start->towards),
            $this->from, $this->times, $this->slot, $this->pinMm,
            colour: $this->colour, isWire: $this->isWire, pinKind: $this->pinKind,
        );
    }

    /**
     * While it is made: moves that are made lie as they will, carried to where the wire stands; the rest is still
     * straight, as long as it is cut, and points where it would go.
     *
     * @param  array<int, float>  $shares  of each move, by its place, how much is made; 0 where nothing is said
     * @return list<Curve> from the first end of the wire to its last
     */
    public function formed(array $shares): array
    {
        if ($this->original !== null && $this->by !== null) {
            $by = $this->by;

            return array_map(fn (Curve $curve): Curve => $curve->moved($by), $this->original->formed($shares));
        }
        $this->curves();

        return $this->walked(function (int $at, Frame $frame) use ($shares): array {
            $mm = $this->moves[$at]->segment->lengthMm;
            [$spans, $end] = $this->lies[$at];
            // What lies nowhere, slack that is taken up, is in no way to be made.
            $share = $mm > 0.0 && $spans === [] ? 1.0 : $shares[$at] ?? 0.0;
            $carry = new Carry($this->begins[$at], $frame);
            if ($share >= 1.0) {
                return [$carry->spans($spans), $carry->frame($end)];
            }
            $begun = $share > 0.0 ? self::begun($carry->spans($spans), $share) : [];
            $frame = $begun === [] ? $frame : Laid::through($begun)->laid($frame)[1];
            $end = $frame->on((1 - $share) * $mm);

            return [$mm > 0.0 ? [...$begun, Span::straight($frame->at, $end->at)] : $begun, $end];
        });
    }

    /**
     * The first share of a stretch.
     *
     * @param  list<Span>  $spans
     * @return list<Span>
     */
    private static function begun(array $spans, float $share): array
    {
        $curve = new Curve($spans);

        return $curve->begun($share * $curve->lengthMm());
    }

    /** Whether a move lies against the wire, from its anchor towards its first end. */
    public function isBack(int $place): bool
    {
        return $place < $this->from;
    }

    /** @return list<int> the places of its moves, out from its anchor: to its first end, then to its last */
    public function outwards(): array
    {
        $places = array_keys($this->moves);

        return [...array_reverse(array_slice($places, 0, $this->from)), ...array_slice($places, $this->from)];
    }

    /** Where it is anchored, going on with the wire. */
    public function start(): Frame
    {
        $anchor = $this->original?->start() ?? ($this->anchor instanceof Closure ? ($this->anchor)() : $this->anchor);

        return $this->by === null ? $anchor : $anchor->in($anchor->at->plus($this->by));
    }

    /**
     * @return array{list<array{Move, Curve}>, list<array{Move, Curve}>} its moves from there to its first end, and to
     *     its last, each outwards
     */
    public function legs(): array
    {
        $back = $on = [];
        foreach ($this->curves() as $at => $curve) {
            if ($at < $this->from) {
                array_unshift($back, [$this->moves[$at], $curve->reversed()]);
            } else {
                $on[] = [$this->moves[$at], $curve];
            }
        }

        return [$back, $on];
    }

    /**
     * As a course of its own while it is made: what is trimmed off is seen until it is. What is made in stages is two
     * moves, what is made of it and, without a mark, the rest.
     *
     * @param  list<MoveState>  $states  of each move
     */
    public function asFormed(array $states): self
    {
        $key = implode(' ', array_map(fn (MoveState $state): string => $state->key(), $states));

        return $this->formed[$key] ??= $this->original !== null && $this->by !== null
            ? $this->original->asFormed($states)->moved($this->by)
            : $this->inStates($states);
    }

    /** @param  list<MoveState>  $states */
    private function inStates(array $states): self
    {
        $moves = [];
        $from = $this->from;
        foreach ($this->formed(array_map(fn (MoveState $state): float => $state->share, $states)) as $at => $curve) {
            $outwards = $at < $this->from ? $curve->reversed() : $curve;
            $formed = $states[$at]->formed($this->moves[$at], $outwards);
            $from += $at < $this->from ? count($formed) - 1 : 0;
            array_push($moves, ...($at < $this->from ? array_reverse($formed) : $formed));
        }
        /** @var non-empty-list<Move> $moves */

        return new self(
            $this->label, $this->role, $moves, $this->anchor, $from, $this->times, $this->slot,
            colour: $this->colour,
        );
    }

    /**
     * Out from its anchor, both ways.
     *
     * @param  Closure(int, Frame): array{list<Span>, Frame}  $lies  how a move lies that begins so, and where it ends
     * @return list<Curve> from the first end of the wire to its last
     */
    private function walked(Closure $lies): array
    {
        $back = $on = [];
        $anchor = $this->anchor instanceof Closure ? ($this->anchor)() : $this->anchor;
        $frame = $anchor->back();
        for ($at = $this->from - 1; $at >= 0; $at--) {
            [$spans, $frame] = $lies($at, $frame);
            array_unshift($back, (new Curve($spans))->reversed());
        }
        $frame = $anchor;
        for ($at = $this->from; $at < count($this->moves); $at++) {
            [$spans, $frame] = $lies($at, $frame);
            $on[] = new Curve($spans);
        }

        return [...$back, ...$on];
    }

    /** What other wires lie along: all that bears a mark. */
    public function host(string $mark, Vector $face = new Vector(0.0, 0.0, 1.0)): Host
    {
        return new Host($this->marked($mark), $face);
    }

    /**
     * Of some marks those whose stretches are bent by hand; what is woven round others goes with them.
     *
     * @param  list<string>  $marks
     * @return list<string>
     */
    public function bent(array $marks): array
    {
        $woven = array_filter($this->moves, fn (Move $move): bool => $move->segment->kind === SegmentKind::Weave);
        $marksWoven = array_map(fn (Move $move): string => $move->segment->mark, $woven);

        return array_values(array_diff($marks, $marksWoven));
    }

    public function marked(string $mark): Curve
    {
        $spans = [];
        foreach ($this->curves() as $at => $curve) {
            if ($this->moves[$at]->segment->mark === $mark) {
                array_push($spans, ...$curve->spans);
            }
        }

        return new Curve($spans);
    }
}

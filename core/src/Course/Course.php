<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

/**
 * The way of one wire from its first end to its last, told once: its cut, its bends and its curve are read off it. It
 * is anchored at one of its moves and goes out from there both ways, since what stands in the middle of a part is where
 * the maker places it from.
 */
final readonly class Course
{
    /**
     * @param  non-empty-list<Move>  $moves  in the order of the wire
     * @param  int  $from  the first of them that goes out from the anchor with the wire; those before it, against it
     */
    public function __construct(
        public string $label,
        public string $role,
        public array $moves,
        private Frame $anchor,
        private int $from = 0,
        public int $times = 1,
        public string $slot = '',
        public ?float $pinMm = null,
    ) {
    }

    /**
     * From both sides of an anchor: moves against the wire, from the anchor outwards, and moves with it.
     *
     * @param  list<Move>  $back
     * @param  list<Move>  $on
     */
    public static function both(string $label, string $role, array $back, array $on, Frame $anchor, int $times): self
    {
        /** @var non-empty-list<Move> $moves */
        $moves = [...array_reverse($back), ...$on];

        return new self($label, $role, $moves, $anchor, count($back), $times);
    }

    /** It comes as a pin of a length; what is over is its last move. */
    public function pin(float $mm): self
    {
        return new self(
            $this->label, $this->role, $this->moves, $this->anchor, $this->from, $this->times, $this->slot, $mm,
        );
    }

    /** @return list<Curve> how each move lies, from the first end of the wire to its last */
    public function curves(): array
    {
        $back = $on = [];
        $frame = $this->anchor->back();
        for ($at = $this->from - 1; $at >= 0; $at--) {
            [$spans, $frame] = $this->moves[$at]->shape->laid($frame);
            array_unshift($back, (new Curve($spans))->reversed());
        }
        $frame = $this->anchor;
        for ($at = $this->from; $at < count($this->moves); $at++) {
            [$spans, $frame] = $this->moves[$at]->shape->laid($frame);
            $on[] = new Curve($spans);
        }

        return [...$back, ...$on];
    }
}

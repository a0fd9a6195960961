<?php

declare(strict_types=1);

namespace Hebra\Core\Figure;

use Hebra\Core\Course\Move;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/** A stretch of wire as it is seen: at one depth, or as a copy of one that lies so far from it on the page. */
final readonly class SeenSpan
{
    public function __construct(
        public Span $told, public Move $move, public int $layer, public int $rank, public ?Vector $by = null,
    ) {
    }

    public function copied(Move $move, Vector $by): self
    {
        return new self($this->told, $move, $this->layer, $this->rank, $by);
    }

    public function ranked(int $layer, int $rank): self
    {
        return new self($this->told, $this->move, $layer, $rank, $this->by);
    }

    /** Where it lies. */
    public function span(): Span
    {
        return $this->by === null ? $this->told : $this->told->moved($this->by);
    }

    public function isWound(): bool
    {
        return $this->move->segment->kind->isWound();
    }

    public function goesOnIn(self $next): bool
    {
        return $this->layer === $next->layer && $this->rank === $next->rank
            && ($this->move === $next->move || $this->move->segment->mark === $next->move->segment->mark);
    }
}

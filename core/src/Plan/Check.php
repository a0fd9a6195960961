<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\PartId;

/** One judgement on the piece: level, the rule it follows, a sentence, and the ways out, each a change to the piece. */
final readonly class Check
{
    /** @param  list<Way>  $ways */
    public function __construct(
        public Level $level,
        public string $rule,
        public string $text,
        public ?PartId $part = null,
        public array $ways = [],
        /** where it is seen, as the drawing names it; empty: anywhere on its part */
        public string $mark = '',
    ) {
    }

    /** The same, and where it is seen. */
    public function at(string $mark): self
    {
        return new self($this->level, $this->rule, $this->text, $this->part, $this->ways, $mark);
    }

    /** @param  list<Way>  $ways  the only ones out of it */
    public function with(array $ways): self
    {
        return new self($this->level, $this->rule, $this->text, $this->part, $ways, $this->mark);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Course\Strung;

/** What a move puts on its wire. */
final readonly class Put
{
    /** @param  list<Strung>  $beads  in the order in which they are pushed on */
    public function __construct(
        public array $beads,
        /** whether another wire, or the same, went through them before */
        public bool $isAgain,
    ) {
    }

    public function count(): int
    {
        return array_sum(array_map(fn (Strung $run): int => $run->count, $this->beads));
    }
}

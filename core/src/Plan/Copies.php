<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** What a making goes through: steps that are done once for all of it, then those of each of its copies. */
final readonly class Copies
{
    /**
     * @param  int  $prepare  steps done once
     * @param  int  $each  steps of each copy
     * @param  bool  $isAcross  whether a step is done on all copies before the next one
     */
    public function __construct(public int $prepare, public int $each, public int $count, public bool $isAcross)
    {
    }

    public function steps(): int
    {
        return $this->prepare + $this->each * $this->count;
    }
}

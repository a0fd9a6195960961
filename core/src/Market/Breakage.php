<?php

declare(strict_types=1);

namespace Hebra\Core\Market;

/**
 * How many of a bead are bought beyond what is strung, by what was missed of it so far: chipped, lost, sorted out. As
 * if so many had been strung before with the usual one in so many over [own rule, a mean with a prior].
 */
final readonly class Breakage
{
    private const WORTH = 200;

    private function __construct(private int $used, private int $missed)
    {
    }

    /** Of so many used so many were missed when they were counted, no more than were used. */
    public static function of(int $used, int $missed): self
    {
        return new self(max(0, $used), max(0, min($used, $missed)));
    }

    /** Of one that nothing is known of. */
    public static function unknown(): self
    {
        return new self(0, 0);
    }

    /**
     * @param  int  $count  that are strung
     * @param  int  $every  of which one is over as a rule
     */
    public function spares(int $count, int $every): int
    {
        $share = ($this->missed + self::WORTH / max(1, $every)) / ($this->used + self::WORTH);

        return (int) ceil($count * $share - 1e-9);
    }
}

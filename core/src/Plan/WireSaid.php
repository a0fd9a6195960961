<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** What is said of one wire for a role, each on its own: how it holds, how it bends, what bars it. */
final readonly class WireSaid
{
    /** @param  float|null  $loadN  what its eye must bear, newtons; null where nothing hangs in an eye that opens */
    public function __construct(
        public string $hold,
        public string $bend,
        public ?Barred $barred,
        /** the bead that lets it through least */
        public string $bead,
        public ?float $loadN,
        /** whether the stock has all that the piece takes of it */
        public bool $isEnough,
    ) {
    }
}

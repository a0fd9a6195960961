<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/** How long a search may go on: given from outside, so that a test repeats exactly and a page does not wait. */
interface Patience
{
    /** Asked every few hundred nodes. */
    public function isOver(int $nodes): bool;
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

/** So many nodes of a search, and no more. */
final readonly class NodePatience implements Patience
{
    public function __construct(private int $most)
    {
    }

    public function isOver(int $nodes): bool
    {
        return $nodes >= $this->most;
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use Hebra\Core\Stock\Patience;

/** Until so many seconds have gone by, or nobody waits any more. */
final readonly class Deadline implements Patience
{
    private int $end;

    public function __construct(float $seconds, private ?Asker $asker = null)
    {
        $this->end = hrtime(true) + (int) ($seconds * 1e9);
    }

    public function isOver(int $nodes): bool
    {
        return hrtime(true) >= $this->end || ($this->asker !== null && $this->asker->isGone());
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use Hebra\Core\Stock\Patience;

/** Until so many seconds have gone by. */
final readonly class Deadline implements Patience
{
    private int $end;

    public function __construct(float $seconds)
    {
        $this->end = hrtime(true) + (int) ($seconds * 1e9);
    }

    public function isOver(int $nodes): bool
    {
        return hrtime(true) >= $this->end;
    }
}

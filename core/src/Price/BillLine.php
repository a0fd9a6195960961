<?php

declare(strict_types=1);

namespace Hebra\Core\Price;

/**
 * A line of a bill: what, how much of it, at what, and what it comes to in cents for the whole making; null where it
 * has no price, then `key` is by which it is priced, and `per` of what.
 */
final readonly class BillLine
{
    public function __construct(
        public string $kind, public string $words, public string $amount, public string $at, public ?int $cents,
        public string $key = '', public string $per = '',
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Working;

/** Results by name (millimetres end in _mm, grams in _g; counts and ratios bare), and the working. */
final readonly class Answer
{
    /**
     * @param  array<string, float|int|bool|list<float>>  $results
     * @param  list<Working>  $working
     */
    public function __construct(public array $results, public array $working)
    {
    }
}

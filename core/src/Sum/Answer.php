<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Working;

/**
 * Results by name, the working, and what else a maker should know. Millimetres end in _mm, grams in _g, newtons in _n,
 * megapascals in _mpa; counts and ratios stand bare.
 */
final readonly class Answer
{
    /**
     * @param  array<string, float|int|bool|string|list<float>|null>  $results
     * @param  list<Working>  $working
     * @param  list<string>  $notes
     */
    public function __construct(public array $results, public array $working, public array $notes = [])
    {
    }
}

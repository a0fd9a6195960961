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

    /** A number among the results; null where it is none or there is none so called. */
    public function maybe(string $key): ?float
    {
        $result = $this->results[$key] ?? null;

        return is_float($result) || is_int($result) ? (float) $result : null;
    }

    /** @throws \LogicException if the sum has no such number */
    public function number(string $key): float
    {
        return $this->maybe($key) ?? throw new \LogicException("No number is called {$key}.");
    }

    /** @throws \LogicException if the sum has no such number */
    public function count(string $key): int
    {
        return (int) $this->number($key);
    }
}

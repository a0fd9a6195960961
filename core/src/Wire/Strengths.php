<?php

declare(strict_types=1);

namespace Hebra\Core\Wire;

/** The strength of every metal: the usual value, or the maker's own where one is given. */
final readonly class Strengths
{
    /** @param  array<string, Strength>  $own  by metal */
    public function __construct(private array $own = [])
    {
    }

    public function of(Metal $metal): Strength
    {
        return $this->own[$metal->value] ?? $metal->strength();
    }

    public function isOwn(Metal $metal): bool
    {
        return isset($this->own[$metal->value]);
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

use Hebra\Core\Quantity\OutOfRange;

/** A move that is being read: what its form found in it, by name. */
final readonly class Reading
{
    /** @param  array<string, string>  $found */
    public function __construct(public string $field, public string $written, private array $found)
    {
    }

    public function has(string $name): bool
    {
        return ($this->found[$name] ?? '') !== '';
    }

    public function word(string $name, string $else = ''): string
    {
        return $this->has($name) ? $this->found[$name] : $else;
    }

    /** @throws OutOfRange if it lies outside, or is nothing */
    public function number(string $name, float $least, float $most, float $else = 0.0): float
    {
        if (! $this->has($name)) {
            return $else;
        }

        return Refused::outside($this->field, $this->written, $name, (float) $this->found[$name], $least, $most);
    }

    /** The run that a letter names. */
    public function run(string $name): ?int
    {
        return $this->has($name) ? Construction::ofLetter($this->found[$name]) : null;
    }
}

<?php

declare(strict_types=1);

namespace App\Exceptions;

use Hebra\Core\Problem;

/** Several fields of one form that are wrong: each says its own sentence at its place. */
final class Several extends \RuntimeException implements Problem
{
    /** @param  non-empty-list<Problem>  $problems */
    private function __construct(private readonly array $problems)
    {
        parent::__construct(implode(' ', $this->sentences()));
    }

    /** @param  non-empty-list<Problem>  $problems  one alone is itself */
    public static function of(array $problems): Problem
    {
        return count($problems) === 1 ? $problems[0] : new self($problems);
    }

    /** @return non-empty-list<Problem> what is wrong, one by one */
    public static function in(Problem $problem): array
    {
        return $problem instanceof self ? $problem->problems : [$problem];
    }

    /** The same at fields whose names begin so. */
    public static function under(string $prefix, Problem $problem): Problem
    {
        return self::of(array_map(
            fn (Problem $one): Problem => Refused::at($prefix.$one->field(), $one), self::in($problem),
        ));
    }

    public function field(): string
    {
        return $this->problems[0]->field();
    }

    public function sentences(): array
    {
        return array_map(fn (Problem $problem): string => $problem->getMessage(), $this->problems);
    }

    public function says(string $field): ?string
    {
        foreach ($this->problems as $problem) {
            if ($problem->says($field) !== null) {
                return $problem->says($field);
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** Words that are looked for in what is told of a thing: each must be there, one of them or several. */
final readonly class Sought
{
    /** @param  list<string>  $words  in lower case */
    public function __construct(public array $words)
    {
    }

    public static function read(string $line): self
    {
        return new self(preg_split(
            '/[^\p{L}\p{N}.\/#]+/u', mb_strtolower(mb_scrub($line)), -1, PREG_SPLIT_NO_EMPTY,
        ) ?: []);
    }

    /**
     * The same asked of a table: what an expression of its columns gives, in lower case.
     *
     * @param  Builder<covariant Model>  $query
     * @param  literal-string  $told
     */
    public function in(Builder $query, string $told): void
    {
        foreach ($this->words as $word) {
            $query->whereRaw("instr({$told}, ?) > 0", [self::stem($word)]);
        }
    }

    /** One of them or several. */
    private static function stem(string $word): string
    {
        return mb_strlen($word) > 3 ? rtrim($word, 's') : $word;
    }

    public function isIn(string $told): bool
    {
        $told = mb_strtolower($told);
        foreach ($this->words as $word) {
            if (! str_contains($told, self::stem($word))) {
                return false;
            }
        }

        return true;
    }
}

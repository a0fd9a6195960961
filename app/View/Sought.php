<?php

declare(strict_types=1);

namespace App\View;

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
            '/[^\p{L}\p{N}.\/]+/u', mb_strtolower(mb_scrub($line)), -1, PREG_SPLIT_NO_EMPTY,
        ) ?: []);
    }

    public function isIn(string $told): bool
    {
        $told = mb_strtolower($told);
        foreach ($this->words as $word) {
            if (! str_contains($told, mb_strlen($word) > 3 ? rtrim($word, 's') : $word)) {
                return false;
            }
        }

        return true;
    }
}

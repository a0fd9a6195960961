<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

/** One figure of a sentence: what kind it is, as a sum reads it, and the words before and after it. */
final readonly class Quantity
{
    public function __construct(public string $kind, public string $text, public string $before, public string $after)
    {
    }

    /** Whether the word or words right after it are one of these. */
    public function isBefore(string $words): bool
    {
        return preg_match('/^(?:of (?:an? |the |my )?|-)?(?:'.$words.')(?!\w)/u', $this->after) === 1;
    }

    /** Whether one of these stands close before it, with no more than small words between. */
    public function isAfter(string $words): bool
    {
        return preg_match(
            '/(?<!\w)(?:'.$words
                .')(?: (?:an?|the|my|of|about|with|is|are|size|each|some|only|just|is about|piece|length|long))*$/u',
            $this->before,
        ) === 1;
    }
}

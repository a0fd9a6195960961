<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** One judgement on the piece: level, the rule it follows, a sentence, and the ways out, each a change to the piece. */
final readonly class Check
{
    /** @param  list<Way>  $ways */
    public function __construct(
        public Level $level,
        public string $rule,
        public string $text,
        public string $part = '',
        public array $ways = [],
    ) {
    }
}

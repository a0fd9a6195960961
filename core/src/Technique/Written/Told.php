<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written;

/** A move at its place in a text, with the name that others find it by. */
final readonly class Told
{
    /** @param  string  $key  `move-3`, `tie-2`: its name where it has none of its own */
    public function __construct(
        public WrittenMove $move, public string $key, public string $name, public string $text,
    ) {
    }

    /** What an eye of it is called. */
    public function eye(): string
    {
        return $this->name === '' ? $this->key : strtr($this->name, ' ', '-');
    }
}

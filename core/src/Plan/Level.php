<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

/** How much a check asks of the maker. */
enum Level: string
{
    case Ok = 'ok';
    case Note = 'note';
    case Warn = 'warn';
    case Stop = 'stop';

    public function isAtLeast(self $other): bool
    {
        return $this->weight() >= $other->weight();
    }

    /** 0 for what is well, to 3 for what cannot be made. */
    public function weight(): int
    {
        return match ($this) {
            self::Ok => 0,
            self::Note => 1,
            self::Warn => 2,
            self::Stop => 3,
        };
    }
}

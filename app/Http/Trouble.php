<?php

declare(strict_types=1);

namespace App\Http;

use PDOException;

/**
 * What can be wrong with the place where everything is kept, by the codes of SQLite: what it is, what is safe, what to
 * do.
 */
enum Trouble
{
    case Busy;
    case Full;
    case ReadOnly;
    case Damaged;
    case Unreadable;

    public static function of(PDOException $fault): ?self
    {
        return match ((int) ($fault->errorInfo[1] ?? 0)) {
            5, 6 => self::Busy,
            13 => self::Full,
            8 => self::ReadOnly,
            11, 26 => self::Damaged,
            10, 14 => self::Unreadable,
            default => null,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::Busy => 'Much is being written just now. Nothing was changed: do it again in a moment.',
            self::Full => 'The disk is full. What was saved is safe, this change was not kept. Make room on the '
                .'machine that runs Hebra, then do it again.',
            self::ReadOnly => 'The workshop can be read but not written just now. What was saved is safe, this change '
                .'was not kept. Whoever runs Hebra: ./hebra doctor says which folder is closed.',
            self::Damaged => 'The file in which everything is kept is damaged. Stop Hebra and start it again: it says '
                .'where the last good copy is, and how to bring it back.',
            self::Unreadable => 'The disk did not answer. What was saved is safe as far as it can be read; this change '
                .'was not kept. Whoever runs Hebra: look whether the disk is there and whole.',
        };
    }

    public function status(): int
    {
        return $this === self::Full ? 507 : 503;
    }

    /** @return array<string, string> */
    public function headers(): array
    {
        return $this === self::Busy ? ['Retry-After' => '1'] : [];
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Exceptions\Refused;
use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;

/** What may be a password, and whether one is right. Source: OWASP ASVS 4.0, V2.1 and V2.4. */
final class Passwords
{
    public const LEAST = 12;

    public const MOST = 200;

    /** @throws Refused in one sentence, if it is too short, too long, common or the maker's own name or address */
    public static function check(string $password, string ...$own): void
    {
        $length = mb_strlen($password);
        $length >= self::LEAST && $length <= self::MOST
            || throw self::refused(
                "It has {$length} characters: give ".self::LEAST.' to '.self::MOST.'; a few words with spaces do well.',
            );
        mb_check_encoding($password, 'UTF-8') || throw self::refused('It did not arrive as text: type it again.');
        ! self::isCommon($password)
            || throw self::refused(
                'It is one of the most common passwords, or one of them with figures around it: give another one.',
            );
        foreach ($own as $word) {
            mb_strlen(trim($word)) < 4 || ! str_contains(mb_strtolower($password), mb_strtolower(trim($word)))
                || mb_strlen($password) - mb_strlen(trim($word)) >= 8
                || throw self::refused('It is little more than your own name or address: give another one.');
        }
        count(array_unique(mb_str_split($password))) >= 5
            || throw self::refused('It repeats a few characters: give another one.');
    }

    private static function refused(string $sentence): Refused
    {
        return Refused::invalid('password', $sentence);
    }

    private static function isCommon(string $password): bool
    {
        $plain = mb_strtolower($password);
        $bare = preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $plain) ?? $plain;
        $common = array_flip(file(resource_path('passwords/common.txt'), FILE_IGNORE_NEW_LINES) ?: []);

        return isset($common[$plain]) || $bare === '' || isset($common[$bare]);
    }

    /** Takes as long for nobody as for somebody. */
    public static function isRight(?User $maker, string $password): bool
    {
        $hash = $maker->password ?? Cache::rememberForever(
            'nobody-'.config('hashing.argon.memory').'-'.config('hashing.argon.time'),
            fn (): string => Hash::make(bin2hex(random_bytes(16))),
        );
        $isRight = password_verify($password, $hash);

        return $maker !== null && $isRight;
    }
}

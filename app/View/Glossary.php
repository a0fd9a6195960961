<?php

declare(strict_types=1);

namespace App\View;

use LogicException;

/** What a word of the trade means, as docs/words.md has it: pages say it where a word is first met. */
final class Glossary
{
    /** @var array<string, string>|null */
    private static ?array $words = null;

    /** @throws LogicException if the glossary does not have the word */
    public static function says(string $word): string
    {
        return self::words()[$word] ?? throw new LogicException("docs/words.md does not have “{$word}”.");
    }

    /** @return array<string, string> */
    private static function words(): array
    {
        return self::$words ??= self::read((string) file_get_contents(base_path('docs/words.md')));
    }

    /** @return array<string, string> one line of the table may have several words */
    private static function read(string $table): array
    {
        preg_match_all('/^\| ([^|]+) \| ([^|]+) \|$/m', $table, $rows, PREG_SET_ORDER);
        $words = [];
        foreach ($rows as [, $names, $says]) {
            foreach (explode(', ', $names) as $name) {
                $words[$name] = $says;
            }
        }

        return $words;
    }
}

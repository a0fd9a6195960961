<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Lot;
use App\Models\Piece;

/** The maker’s own words for a piece or a lot: `gift, blue` is kept as `#blue #gift`. */
final class Tagging
{
    private const MOST = 8;

    private const MOST_LETTERS = 24;

    /** @throws Refused if there are too many, or one is too long */
    public function tag(Piece|Lot $thing, string $line): void
    {
        $thing->forceFill(['tags' => self::read($line)])->save();
    }

    /** @throws Refused if there are too many, or one is too long */
    public static function read(string $line): string
    {
        $tags = preg_split('/[^\p{L}\p{N}\-]+/u', mb_strtolower(mb_scrub($line)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $tags = array_values(array_unique(array_filter($tags, fn (string $tag): bool => trim($tag, '-') !== '')));
        count($tags) <= self::MOST || throw Refused::invalid(
            'tags', 'That is '.count($tags).' tags: give at most '.self::MOST.', such as gift, blue.',
        );
        foreach ($tags as $tag) {
            mb_strlen($tag) <= self::MOST_LETTERS || throw Refused::invalid(
                'tags',
                'Tag “'.mb_substr($tag, 0, 30).'” has '.mb_strlen($tag).' letters: give at most '.self::MOST_LETTERS
                    .'.',
            );
        }
        sort($tags);

        return implode(' ', array_map(fn (string $tag): string => "#{$tag}", $tags));
    }
}

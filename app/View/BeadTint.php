<?php

declare(strict_types=1);

namespace App\View;

/** The body colours of beads where no style sheet reaches: on paper and in space. */
final class BeadTint
{
    private const TINTS = [
        'sea' => [95, 167, 142],
        'moss' => [140, 154, 72],
        'amber' => [217, 154, 44],
        'rust' => [182, 90, 47],
        'rose' => [201, 124, 134],
        'plum' => [124, 84, 143],
        'slate' => [116, 128, 141],
        'sky' => [104, 158, 201],
        'ink' => [58, 62, 74],
        'milk' => [232, 226, 211],
        'sand' => [210, 184, 140],
        'clear' => [214, 230, 226],
    ];

    /** @return array{int, int, int} red, green, blue */
    public static function of(string $colour): array
    {
        return self::TINTS[$colour] ?? self::TINTS['sea'];
    }
}

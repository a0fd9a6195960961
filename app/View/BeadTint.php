<?php

declare(strict_types=1);

namespace App\View;

use RuntimeException;

/** The colours of beads where no style sheet reaches, on paper and in space: read from the style sheet of wire. */
final class BeadTint
{
    /** @var array<string, array{string, string, string}>|null */
    private static ?array $shades = null;

    /** @return array{int, int, int} red, green, blue of its body */
    public static function of(string $colour): array
    {
        /** @var array{int, int, int} $rgb */
        $rgb = sscanf(self::shades($colour)[1], '#%02x%02x%02x');

        return $rgb;
    }

    /** @return array{string, string, string} light, body and deep, as styles write them */
    public static function shades(string $colour): array
    {
        self::$shades ??= self::read((string) file_get_contents(resource_path('css/wire.css')));

        return self::$shades[$colour] ?? self::$shades['sea'] ?? throw new RuntimeException('Beads have no colours.');
    }

    /** @return array<string, array{string, string, string}> */
    private static function read(string $styles): array
    {
        $one = '(#[0-9a-f]{6});\s*';
        preg_match_all(
            "/\\.bead-([a-z]+) \\{ --b-light: {$one}--b-body: {$one}--b-deep: {$one}\\}/", $styles, $found,
            PREG_SET_ORDER,
        );
        $shades = [];
        foreach ($found as [, $colour, $light, $body, $deep]) {
            $shades[$colour] = [$light, $body, $deep];
        }

        return $shades;
    }
}

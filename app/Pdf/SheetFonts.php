<?php

declare(strict_types=1);

namespace App\Pdf;

use RuntimeException;

/**
 * The product’s own letters for paper: made once, when Hebra is installed, from the files that its styles come with.
 * Where they are not there, or a text has other characters, the library’s own wide font stands in.
 */
final class SheetFonts
{
    public const TEXT = 'atkinson';

    public const HEADING = 'fraunces';

    private const INSTEAD = 'dejavusans';

    /** Family, style, and the file that it comes from. */
    private const SOURCES = [
        [self::TEXT, '', 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff'],
        [self::TEXT, 'B', 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff'],
        [self::HEADING, 'B', 'fraunces/files/fraunces-latin-600-normal.woff'],
    ];

    /** TCPDF’s flag for letters that are no symbols. */
    private const NOT_SYMBOLIC = 32;

    /** @var array<string, array<int, true>> the characters of each definition that was looked into */
    private static array $known = [];

    /** @throws RuntimeException if a file is not where npm puts it, or is no font */
    public static function make(string $modules): void
    {
        $folder = self::folder();
        is_dir($folder) || mkdir($folder, recursive: true);
        foreach (self::SOURCES as [$family, $style, $file]) {
            $woff = @file_get_contents("{$modules}/@fontsource/{$file}");
            $woff !== false || throw new RuntimeException("The letters of sheets are not there: {$file}. Run npm ci.");
            $font = "{$folder}/{$family}".strtolower($style).'.ttf';
            file_put_contents($font, Woff::toTrueType($woff));
            $made = \TCPDF_FONTS::addTTFfont($font, 'TrueTypeUnicode', '', self::NOT_SYMBOLIC, $folder.'/');
            unlink($font);
            $made !== false || throw new RuntimeException("{$file} is no font that sheets can take.");
        }
    }

    /**
     * The letters that a text can be set in.
     *
     * @return array{string, string} the family and, of the product’s own, its definition
     */
    public static function for(string $family, bool $isBold, string $text): array
    {
        $file = self::folder()."/{$family}".($isBold ? 'b' : '').'.php';
        $characters = self::characters($file);
        foreach (mb_str_split(mb_scrub($text)) as $character) {
            if ($character !== "\n" && ! isset($characters[mb_ord($character)])) {
                return [self::INSTEAD, ''];
            }
        }

        return $characters === [] ? [self::INSTEAD, ''] : [$family, $file];
    }

    /** @return array<int, true> */
    private static function characters(string $file): array
    {
        return self::$known[$file] ??= is_file($file) ? self::read($file) : [];
    }

    /** @return array<int, true> what TCPDF’s definition of a font has a width for */
    private static function read(string $file): array
    {
        $cw = [];
        include $file;

        return array_fill_keys(array_keys($cw), true);
    }

    private static function folder(): string
    {
        return storage_path('framework/fonts');
    }
}

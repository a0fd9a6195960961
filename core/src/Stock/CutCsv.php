<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * Lists of cuts and of stock as `label,length,count`, a heading first or none; parted by comma, semicolon or tab,
 * lengths as everywhere (`63.5`, `2 1/2 in`; with semicolons also `63,5`). Limits: 256 KiB, 2,000 lines, 5,000 cuts in
 * all.
 */
final class CutCsv
{
    public const MOST_BYTES = 262_144;

    private const MOST_LINES = 2000;

    private const MOST_CUTS = 5000;

    private const MOST_MM = 1_000_000.0;

    /**
     * @return list<CutKind>
     *
     * @throws \Hebra\Core\Problem at the first line that is none
     */
    public static function cuts(string $text): array
    {
        $cuts = [];
        $all = 0;
        foreach (self::lines($text, 'cuts') as $at => [$label, $length, $count]) {
            $cuts[] = new CutKind(
                $label,
                self::length($length, "cuts, line {$at}, length"),
                Count::parse($count, "cuts, line {$at}, count", 1, self::MOST_CUTS),
            );
            $all += $cuts[count($cuts) - 1]->count;
        }
        if ($all > self::MOST_CUTS) {
            throw OutOfRange::between('cuts', "{$all} cuts in all", '1', number_format(self::MOST_CUTS));
        }

        return $cuts;
    }

    /**
     * @return list<StockRow>
     *
     * @throws \Hebra\Core\Problem at the first line that is none
     */
    public static function stock(string $text): array
    {
        $rows = [];
        foreach (self::lines($text, 'stock') as $at => [$label, $length, $count]) {
            $rows[] = new StockRow(
                $label,
                self::length($length, "stock, line {$at}, length"),
                Count::parse($count, "stock, line {$at}, count", 0, self::MOST_CUTS),
            );
        }

        return $rows;
    }

    private static function length(string $text, string $field): float
    {
        return Length::parse($text, $field)->within($field, 0.001, self::MOST_MM)->millimetres();
    }

    /** @return array<int, array{string, string, string}> by line, from 1; empty lines and a heading left out */
    private static function lines(string $text, string $field): array
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw Unreadable::tooLong($field, strlen($text), self::MOST_BYTES);
        }
        $text = mb_scrub((string) preg_replace('/^\xEF\xBB\xBF/', '', $text));
        $written = preg_split('/\R/', $text) ?: [];
        $first = $written[0] ?? '';
        $delimiter = match (true) {
            str_contains($first, "\t") => "\t",
            substr_count($first, ';') >= 2 => ';',
            default => ',',
        };
        $lines = [];
        foreach ($written as $index => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = array_map(
                fn (?string $cell): string => trim((string) $cell),
                str_getcsv($line, $delimiter, '"', ''),
            );
            if ($lines === [] && mb_strtolower($cells[1] ?? '') === 'length') {
                continue;
            }
            if (count($cells) !== 3 || $cells[0] === '') {
                throw Unreadable::line(
                    "{$field}, line ".($index + 1),
                    $line,
                    'label,length,count, such as “ear wire,63.5,2”',
                );
            }
            $lines[$index + 1] = [mb_substr($cells[0], 0, 80), $cells[1], $cells[2]];
        }
        if (count($lines) > self::MOST_LINES) {
            throw OutOfRange::between($field, count($lines).' lines', '1', number_format(self::MOST_LINES));
        }

        return $lines;
    }
}

<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;

/**
 * A table as people's programs write it: parted by comma, semicolon or tab, whichever the first line has most of;
 * UTF-8, or else Windows-1252. The first line is the heading. Limits: 1 MiB, 2,000 lines, 40 columns.
 */
final readonly class CsvTable
{
    public const MOST_BYTES = 1_048_576;

    public const MOST_LINES = 2000;

    private const MOST_COLUMNS = 40;

    /** Breaks in one cell. */
    private const MOST_BREAKS = 50;

    /**
     * @param  list<string>  $heading
     * @param  array<int, list<string>>  $rows  by line, from 2; as many cells as the heading has
     */
    private function __construct(public string $delimiter, public array $heading, public array $rows)
    {
    }

    /** @throws Unreadable|OutOfRange if it is no table */
    public static function read(string $text, string $field = 'file'): self
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw OutOfRange::between(
                $field,
                number_format(strlen($text)).' bytes',
                '1',
                number_format(self::MOST_BYTES).' bytes',
            );
        }
        if (str_contains($text, "\0")) {
            throw Unreadable::line($field, substr($text, 0, 20), 'text, a table saved as CSV');
        }
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $text = mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        $text = trim($text);
        $first = (preg_split('/\R/', $text) ?: [''])[0];
        $counts = [
            ',' => substr_count($first, ','),
            ';' => substr_count($first, ';'),
            "\t" => substr_count($first, "\t"),
        ];
        arsort($counts);
        $delimiter = (string) array_key_first($counts);
        $records = self::records($text, $delimiter);
        $heading = $records[1] ?? [''];
        unset($records[1]);
        if ($text === '' || $heading === ['']) {
            throw Unreadable::empty($field, 'a table with a heading, such as name,metal,size,amount');
        }
        if (count($heading) > self::MOST_COLUMNS || count($records) > self::MOST_LINES) {
            throw OutOfRange::between(
                $field,
                count($records).' lines of '.count($heading).' columns',
                '1',
                number_format(self::MOST_LINES).' lines of '.self::MOST_COLUMNS.' columns',
            );
        }
        $rows = [];
        foreach ($records as $line => $cells) {
            if ($cells !== ['']) {
                $rows[$line] = array_slice(array_pad($cells, count($heading), ''), 0, count($heading));
            }
        }

        return new self($delimiter, $heading, $rows);
    }

    /**
     * The cells of each line, by its number in the text. A cell in quotes may hold breaks; a quote that is never closed
     * is an inch.
     *
     * @return array<int, list<string>>
     */
    private static function records(string $text, string $delimiter): array
    {
        $lines = preg_split('/\R/', $text) ?: [];
        $records = [];
        for ($at = 0; $at < count($lines); $at = $next) {
            $record = $lines[$at];
            $next = $at + 1;
            while (substr_count($record, '"') % 2 === 1 && $next < count($lines) && $next - $at <= self::MOST_BREAKS) {
                $record .= "\n".$lines[$next++];
            }
            if (substr_count($record, '"') % 2 === 1) {
                [$record, $next] = [$lines[$at], $at + 1];
            }
            $records[$at + 1] = array_map(
                fn (?string $cell): string => Text::visible(trim((string) $cell), 'line '.($at + 1)),
                str_getcsv($record, $delimiter, '"', ''),
            );
        }

        return $records;
    }

    /**
     * Which column is what, by its name.
     *
     * @param  array<string, list<string>>  $names  what is wanted => names it goes by, in small letters
     * @return array<string, int|null> columns, from 0
     */
    public function guessed(array $names): array
    {
        $heading = array_map(
            fn (string $cell): string => trim((string) preg_replace('/[^a-z]+/', ' ', mb_strtolower($cell))),
            $this->heading,
        );
        $guessed = [];
        foreach ($names as $what => $goesBy) {
            $guessed[$what] = null;
            foreach ([$what, ...$goesBy] as $name) {
                $at = array_search($name, $heading, true);
                if ($at !== false && ! in_array($at, $guessed, true)) {
                    $guessed[$what] = (int) $at;
                    break;
                }
            }
        }

        return $guessed;
    }

    /** What stands in a column of a line; nothing where there is no such column. */
    public function at(int $line, ?int $column): string
    {
        return $column === null ? '' : $this->rows[$line][$column] ?? '';
    }
}

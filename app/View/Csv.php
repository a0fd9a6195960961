<?php

declare(strict_types=1);

namespace App\View;

/** Rows as CSV for a table program: a cell that it would take for a formula is given as text. */
final class Csv
{
    /**
     * @param  list<string>  $heading
     * @param  iterable<list<string|int|float|null>>  $rows
     */
    public static function of(array $heading, iterable $rows): string
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new \RuntimeException('No room for a table.');
        }
        fputcsv($file, $heading, ',', '"', '');
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::cell(...), $row), ',', '"', '');
        }
        rewind($file);

        return "\xEF\xBB\xBF".stream_get_contents($file);
    }

    private static function cell(string|int|float|null $value): string
    {
        $text = (string) $value;

        return ! is_numeric($text) && preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'".$text : $text;
    }
}

<?php

declare(strict_types=1);

namespace App\View;

use App\Exceptions\Refused;
use Hebra\Core\Stock\CsvTable;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** A table that came as a file or as text, and which of its columns is what: as the maker says, else by their names. */
final readonly class GivenTable
{
    /** @param  array<string, int|null>  $columns */
    private function __construct(public CsvTable $table, public string $text, public array $columns)
    {
    }

    /**
     * @param  array<string, array{string, list<string>}>  $wanted
     *
     * @throws \Hebra\Core\Problem if it is no table, or too large
     */
    public static function from(Request $request, array $wanted): self
    {
        $text = self::text($request);
        $table = CsvTable::read($text);
        $columns = $table->guessed(array_map(fn (array $column): array => $column[1], $wanted));
        $said = $request->input('columns');
        foreach (is_array($said) ? $said : [] as $what => $column) {
            if (array_key_exists($what, $columns)) {
                $columns[$what] = is_numeric($column) && (int) $column >= 0 && (int) $column < count($table->heading)
                    ? (int) $column
                    : null;
            }
        }

        return new self($table, $text, $columns);
    }

    private static function text(Request $request): string
    {
        $file = $request->file('file');
        if ($file instanceof UploadedFile) {
            $file->isValid() && $file->getSize() <= CsvTable::MOST_BYTES
                || throw Refused::invalid(
                    'file',
                    'The file is larger than 1 MiB or did not arrive whole: give a smaller table.',
                );

            return $file->getContent();
        }
        $text = $request->input('text');

        return is_string($text) ? $text : '';
    }
}

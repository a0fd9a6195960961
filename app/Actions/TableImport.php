<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Workshop;
use Hebra\Core\Stock\CsvTable;
use Illuminate\Support\Facades\DB;

/**
 * What comes in from a table: every line is read first, which locks nobody out, and all that is wrong is said; then all
 * are written at once, or none.
 */
abstract class TableImport
{
    /**
     * @return array<string, array{string, list<string>}> what a line is made of: words for it, and the names a column
     *     of it goes by
     */
    abstract public function columns(): array;

    /** One of what comes in. */
    abstract public function noun(): string;

    /** A table of them, as it may be written. */
    abstract public function example(): string;

    /**
     * Reads every line, and writes nothing.
     *
     * @param  array<string, int|null>  $columns
     * @return array{list<mixed>, array<int, string>} what is to come in, and what is wrong, by line
     */
    abstract protected function read(Workshop $workshop, CsvTable $table, array $columns): array;

    /**
     * All of it, quickly: others wait while it is written.
     *
     * @param  list<mixed>  $entries  as read() gave them
     */
    abstract protected function write(Workshop $workshop, array $entries): void;

    /**
     * What each line objects to, nothing being kept.
     *
     * @param  array<string, int|null>  $columns
     * @return array<int, string> by line
     */
    public function problems(Workshop $workshop, CsvTable $table, array $columns): array
    {
        return $this->read($workshop, $table, $columns)[1];
    }

    /**
     * @param  array<string, int|null>  $columns
     * @return array<int, string> by line; where there is one nothing was kept
     */
    public function take(Workshop $workshop, CsvTable $table, array $columns): array
    {
        [$entries, $problems] = $this->read($workshop, $table, $columns);
        if ($problems === []) {
            DB::transaction(fn () => $this->write($workshop, $entries));
        }

        return $problems;
    }

    /**
     * A bare number with what its heading says it is: `held_g` are grams.
     *
     * @param  array<string, int|null>  $columns
     */
    protected function amount(CsvTable $table, int $line, array $columns): string
    {
        $text = $table->at($line, $columns['amount']);
        $heading = $columns['amount'] === null ? '' : $table->heading[$columns['amount']];
        $unit = preg_match('/(?<![a-z])(g|mm|cm|m)(rams?)?$/i', $heading, $match) === 1 ? ' '.$match[1] : '';

        return $text.(is_numeric(str_replace(',', '.', $text)) ? $unit : '');
    }
}

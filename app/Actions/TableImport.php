<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Workshop;
use Hebra\Core\Stock\CsvTable;
use Illuminate\Support\Facades\DB;

/** What comes in from a table: every line is tried first, and all that is wrong is said; then all come in, or none. */
abstract class TableImport
{
    /** @return array<string, array{string, list<string>}> what a line is made of: words for it, and the names a column of it goes by */
    abstract public function columns(): array;

    /** One of what comes in. */
    abstract public function noun(): string;

    /** A table of them, as it may be written. */
    abstract public function example(): string;

    /**
     * Takes every line in that it can.
     *
     * @param  array<string, int|null>  $columns
     * @return array<int, string> what is wrong, by line
     */
    abstract protected function receive(Workshop $workshop, CsvTable $table, array $columns): array;

    /**
     * What each line objects to, nothing being kept.
     *
     * @param  array<string, int|null>  $columns
     * @return array<int, string> by line
     */
    public function problems(Workshop $workshop, CsvTable $table, array $columns): array
    {
        DB::beginTransaction();
        try {
            return $this->receive($workshop, $table, $columns);
        } finally {
            DB::rollBack();
        }
    }

    /**
     * @param  array<string, int|null>  $columns
     * @return array<int, string> by line; where there is one nothing was kept
     */
    public function take(Workshop $workshop, CsvTable $table, array $columns): array
    {
        DB::beginTransaction();
        $problems = $this->receive($workshop, $table, $columns);
        $problems === [] ? DB::commit() : DB::rollBack();

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

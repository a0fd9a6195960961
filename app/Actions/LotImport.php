<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Stock\CsvTable;
use Illuminate\Support\Facades\DB;

/** Lots from a table: every line is tried first, and all that is wrong is said; then all come in, or none. */
final class LotImport
{
    /** What a lot is made of, and the names a column of it goes by. */
    public const COLUMNS = [
        'name' => ['label', 'lot', 'coil'], 'kind' => ['type', 'what'], 'metal' => ['material', 'alloy'], 'size' => ['gauge', 'thickness', 'diameter', 'wire'], 'temper' => ['hardness'],
        'amount' => ['length', 'held mm', 'weight', 'held', 'left', 'quantity', 'held g'], 'price' => ['paid', 'cost'],
    ];

    public function __construct(private readonly Stockkeeping $stock)
    {
    }

    /**
     * What each line objects to, nothing being kept.
     *
     * @param  array<string, int|null>  $columns
     * @return array<int, string> by line
     */
    public function problems(Workshop $workshop, CsvTable $table, array $columns): array
    {
        $problems = [];
        DB::beginTransaction();
        try {
            $problems = $this->receive($workshop, $table, $columns);
        } finally {
            DB::rollBack();
        }

        return $problems;
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
     * @param  array<string, int|null>  $columns
     * @return array<int, string>
     */
    private function receive(Workshop $workshop, CsvTable $table, array $columns): array
    {
        $problems = [];
        $taken = $workshop->lots()->pluck('name')->mapWithKeys(fn (string $name): array => [mb_strtolower($name) => true])->all();
        foreach (array_keys($table->rows) as $line) {
            $input = [];
            foreach (array_keys(self::COLUMNS) as $what) {
                $input[$what] = $table->at($line, $columns[$what] ?? null);
            }
            $input['kind'] = $input['kind'] === '' ? 'coil' : mb_strtolower($input['kind']);
            $input['metal'] = str_replace(' ', '-', mb_strtolower($input['metal']));
            $input['temper'] = $input['temper'] === '' ? 'dead-soft' : str_replace(' ', '-', mb_strtolower($input['temper']));
            // A heading such as held_g says what its bare numbers are.
            $heading = $columns['amount'] === null ? '' : $table->heading[$columns['amount']];
            $input['amount'] .= is_numeric(str_replace(',', '.', $input['amount'])) && preg_match('/(?<![a-z])g(rams?)?$/i', $heading) === 1 ? ' g' : '';
            $name = mb_strtolower($input['name']);
            if ($name !== '' && isset($taken[$name])) {
                $problems[$line] = "Name “{$input['name']}” is taken: give every lot a name of its own.";

                continue;
            }
            $taken[$name] = true;
            try {
                $this->stock->receive($workshop, $input, $workshop->profile()->unit());
            } catch (Problem $problem) {
                $problems[$line] = $problem->getMessage();
            }
        }

        return $problems;
    }
}

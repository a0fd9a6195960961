<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Stock\CsvTable;

/** Lots from a table. */
final class LotImport extends TableImport
{
    public function __construct(private readonly Stockkeeping $stock)
    {
    }

    public function columns(): array
    {
        return [
            'name' => ['Name', ['label', 'lot', 'coil']], 'kind' => ['Kind', ['type', 'what']],
            'metal' => ['Metal', ['material', 'alloy']], 'size' => ['Size', ['gauge', 'thickness', 'diameter', 'wire']],
            'temper' => ['Temper', ['hardness']],
            'amount' => ['Length or weight', ['length', 'held mm', 'weight', 'held', 'left', 'quantity', 'held g']],
            'price' => ['Price', ['paid', 'cost']],
            'measured' => ['Measured, mm', ['measured mm', 'caliper', 'micrometer']],
        ];
    }

    public function noun(): string
    {
        return 'lot';
    }

    public function example(): string
    {
        return "name;metal;size;temper;length\nShelf coil;sterling;0,8 mm;half-hard;2,4 m";
    }

    protected function read(Workshop $workshop, CsvTable $table, array $columns): array
    {
        $problems = $drafts = [];
        $unit = $workshop->profile()->unit();
        $taken = $workshop->lots()->pluck('name')->mapWithKeys(
            fn (string $name): array => [mb_strtolower($name) => true],
        )->all();
        foreach (array_keys($table->rows) as $line) {
            $input = [];
            foreach (array_keys($this->columns()) as $what) {
                $input[$what] = $table->at($line, $columns[$what] ?? null);
            }
            $input['kind'] = $input['kind'] === '' ? 'coil' : mb_strtolower($input['kind']);
            $input['temper'] = $input['temper'] === '' ? 'dead-soft' : $input['temper'];
            $input['amount'] = $this->amount($table, $line, $columns);
            $name = mb_strtolower($input['name']);
            if ($name !== '' && isset($taken[$name])) {
                $problems[$line] = "Name “{$input['name']}” is taken: give every lot a name of its own.";

                continue;
            }
            $taken[$name] = true;
            try {
                $drafts[] = $this->stock->read($input, $unit);
            } catch (Problem $problem) {
                $problems[$line] = $problem->getMessage();
            }
        }

        return [$drafts, $problems];
    }

    protected function write(Workshop $workshop, array $entries): void
    {
        /** @var list<array{\App\Models\Lot, int}> $entries */
        $this->stock->receiveAll($workshop, $entries);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LotImport;
use App\Exceptions\Refused;
use Hebra\Core\Problem;
use Hebra\Core\Stock\CsvTable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** Lots from a table: looked at with its columns and everything that is wrong, and taken in only then. */
final class LotImportController extends Controller
{
    public function show(): View
    {
        return view('stock.import', ['table' => null, 'text' => '', 'columns' => [], 'problems' => [], 'problem' => null]);
    }

    public function store(Request $request, LotImport $import): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $text = $this->given($request);
            $table = CsvTable::read($text);
        } catch (Problem $problem) {
            return $this->again($this->show(), Refused::at('file', $problem));
        }
        $columns = $this->columns($request, $table);
        if ($this->text($request, 'do') !== 'take') {
            return response(view('stock.import', ['table' => $table, 'text' => $text, 'columns' => $columns, 'problems' => $import->problems($workshop, $table, $columns), 'problem' => null]));
        }
        $problems = $import->take($workshop, $table, $columns);

        return $problems === []
            ? redirect('/stock', 303)->with('said', count($table->rows).' lots are in stock.')
            : response(view('stock.import', ['table' => $table, 'text' => $text, 'columns' => $columns, 'problems' => $problems, 'problem' => null]), 422);
    }

    private function given(Request $request): string
    {
        $file = $request->file('file');
        if ($file instanceof UploadedFile) {
            $file->isValid() && $file->getSize() <= CsvTable::MOST_BYTES || throw Refused::invalid('file', 'The file is larger than 1 MiB or did not arrive whole: give a smaller table.');

            return $file->getContent();
        }

        return $this->text($request, 'text');
    }

    /** @return array<string, int|null> as the maker says, else by their names */
    private function columns(Request $request, CsvTable $table): array
    {
        $columns = $table->guessed(LotImport::COLUMNS);
        $said = $request->input('columns');
        foreach (is_array($said) ? $said : [] as $what => $column) {
            if (array_key_exists($what, $columns)) {
                $columns[$what] = is_numeric($column) && (int) $column >= 0 && (int) $column < count($table->heading) ? (int) $column : null;
            }
        }

        return $columns;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LotImport;
use App\Actions\MovementImport;
use App\Actions\TableImport;
use App\Exceptions\Refused;
use App\View\GivenTable;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Lots or movements from a table: looked at with its columns and everything that is wrong, and taken in only then. */
final class TableImportController extends Controller
{
    public function __construct(private readonly LotImport $lots, private readonly MovementImport $movements)
    {
    }

    public function show(Request $request): View
    {
        return view('stock.import', ['import' => $this->import($request), 'of' => $this->of($request), 'given' => null, 'problems' => [], 'problem' => null]);
    }

    public function store(Request $request): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        $import = $this->import($request);
        try {
            $given = GivenTable::from($request, $import->columns());
        } catch (Problem $problem) {
            return $this->again($this->show($request), Refused::at('file', $problem));
        }
        $isTaken = $this->text($request, 'do') === 'take';
        $problems = $isTaken ? $import->take($workshop, $given->table, $given->columns) : $import->problems($workshop, $given->table, $given->columns);
        if ($isTaken && $problems === []) {
            return redirect($this->of($request) === 'movements' ? '/stock/book' : '/stock', 303)->with('said', Figures::counted(count($given->table->rows), $import->noun()).' taken in.');
        }

        return response(view('stock.import', ['import' => $import, 'of' => $this->of($request), 'given' => $given, 'problems' => $problems, 'problem' => null]), $isTaken ? 422 : 200);
    }

    private function of(Request $request): string
    {
        return $this->text($request, 'of') === 'movements' ? 'movements' : 'lots';
    }

    private function import(Request $request): TableImport
    {
        return $this->of($request) === 'movements' ? $this->movements : $this->lots;
    }
}

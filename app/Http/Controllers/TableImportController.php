<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BeadImport;
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

/**
 * Lots, beads or movements from a table: looked at with its columns and everything that is wrong, and taken in only
 * then.
 */
final class TableImportController extends Controller
{
    public function __construct(
        private readonly LotImport $lots,
        private readonly MovementImport $movements,
        private readonly BeadImport $beads,
    ) {
    }

    public function show(Request $request): View
    {
        return view(
            'stock.import',
            [
                'import' => $this->import($request), 'of' => $this->of($request), 'given' => null, 'problems' => [],
                'problem' => null,
            ],
        );
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
        $problems = $isTaken
            ? $import->take($workshop, $given->table, $given->columns)
            : $import->problems($workshop, $given->table, $given->columns);
        if ($isTaken && $problems === []) {
            return redirect(
                ['movements' => '/stock/book', 'beads' => '/stock#beads'][$this->of($request)] ?? '/stock',
                303,
            )->with('said', Figures::counted(count($given->table->rows), $import->noun()).' taken in.');
        }

        return response(
            view(
                'stock.import',
                [
                    'import' => $import, 'of' => $this->of($request), 'given' => $given, 'problems' => $problems,
                    'problem' => null,
                ],
            ),
            $isTaken ? 422 : 200,
        );
    }

    private function of(Request $request): string
    {
        $of = $this->text($request, 'of');

        return in_array($of, ['movements', 'beads'], true) ? $of : 'lots';
    }

    private function import(Request $request): TableImport
    {
        return match ($this->of($request)) {
            'movements' => $this->movements,
            'beads' => $this->beads,
            default => $this->lots,
        };
    }
}

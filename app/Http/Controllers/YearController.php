<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Book;
use App\Actions\Refining;
use App\Actions\StockTaking;
use App\Models\Lot;
use App\View\Csv;
use App\View\Market\YearMoney;
use App\View\Market\YearStatement;
use App\View\MonthsDesk;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

/** A year of metal and money, scrap for the refiner, and stock that is taken. */
final class YearController extends Controller
{
    public function show(Request $request): View
    {
        [$workshop, $year] = [$this->workshop($request), $this->year($request)];

        return view('stock.months', [
            'desk' => new MonthsDesk($workshop, $year), 'money' => new YearMoney($workshop, $year),
            'jar' => Book::held($workshop, 'scrap jar'), 'refiner' => Book::held($workshop, 'refiner'),
            'problem' => null,
        ]);
    }

    private function year(Request $request): string
    {
        $asked = $this->text($request, 'year');

        return preg_match('/^(19|20|21)\d\d$/', $asked) === 1 ? $asked : now()->format('Y');
    }

    private function made(Request $request): YearStatement
    {
        return new YearStatement($this->workshop($request), $this->year($request));
    }

    public function statement(Request $request): View
    {
        return view('market.statement', ['statement' => $this->made($request)]);
    }

    public function statementCsv(Request $request): Response
    {
        $statement = $this->made($request);

        return $this->table(
            "statement-{$statement->year}", Csv::of(['section', 'what', 'of', 'amount'], $statement->rows()),
        );
    }

    public function statementJson(Request $request): JsonResponse
    {
        return new JsonResponse($this->made($request)->json(), options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE);
    }

    public function refine(Request $request, Refining $refining): RedirectResponse|Response
    {
        $input = $this->texts($request, 'metal', 'weight', 'words');
        try {
            $this->text($request, 'settled') === '1'
                ? $refining->settle($this->workshop($request), $input)
                : $refining->send($this->workshop($request), $input);
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }

        return redirect('/stock/months', 303)->with('said', 'It stands in the metal book.');
    }

    public function taking(Request $request): View
    {
        $workshop = $this->workshop($request);
        /** @var Collection<int, Lot> $lots */
        $lots = $workshop->lots()->withHeld()->get();

        return view('stock.taking', [
            'lots' => $lots->filter(fn (Lot $lot): bool => ! $lot->isPins() && $lot->heldMg() > 0)->values(),
            'beads' => $workshop->beads()->orderBy('name')->get(),
            'underWay' => $workshop->makings()->whereNull('closed_at')->with('piece')->get()->pluck('piece.name'),
            'problem' => null,
        ]);
    }

    public function take(Request $request, StockTaking $taking): RedirectResponse|Response
    {
        try {
            $differed = $taking->take(
                $this->workshop($request), (array) $request->input('weight', []), (array) $request->input('count', []),
            );
        } catch (Problem $problem) {
            return $this->again($this->taking($request), $problem);
        }
        $said = $differed === 0
            ? 'Everything is as the book has it.'
            : "Booked: {$differed} differed. The lines stand in the metal book and with the beads.";

        return redirect('/stock', 303)->with('said', $said);
    }
}

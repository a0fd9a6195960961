<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Refused;
use App\View\CutListDesk;
use App\View\GivenTable;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A list of lengths, looked at first, then planned out of the lots of one wire. */
final class CutListController extends Controller
{
    public function show(Request $request): View
    {
        return $this->page($request, null, null);
    }

    public function store(Request $request): Response
    {
        try {
            $given = GivenTable::from($request, CutListDesk::COLUMNS);
        } catch (Problem $problem) {
            return $this->again($this->show($request), Refused::at('file', $problem));
        }
        $desk = new CutListDesk($this->workshop($request), $given);
        $isPlanned = in_array($this->text($request, 'do'), ['take', 'longer', 'csv'], true) && $desk->problems === []
            && $desk->kinds !== [];
        if ($isPlanned) {
            $desk->plan($this->text($request, 'wire'), $this->text($request, 'do') === 'longer');
        }
        if ($isPlanned && $desk->plan !== null && $this->text($request, 'do') === 'csv') {
            return response(
                $desk->csv(),
                200,
                [
                    'Content-Type' => 'text/csv; charset=utf-8',
                    'Content-Disposition' => 'attachment; filename="cutting-plan.csv"',
                ],
            );
        }

        return response($this->page($request, $given, $desk), $desk->problem === '' ? 200 : 422);
    }

    private function page(Request $request, ?GivenTable $given, ?CutListDesk $desk): View
    {
        return view(
            'stock.cut-list',
            [
                'profile' => $this->workshop($request)->profile(),
                'wires' => CutListDesk::wires($this->workshop($request)), 'wire' => $this->text($request, 'wire'),
                'given' => $given, 'desk' => $desk, 'problem' => null,
            ],
        );
    }
}

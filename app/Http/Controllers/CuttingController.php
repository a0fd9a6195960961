<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Cutting;
use App\Models\CutTick;
use App\Models\Piece;
use App\Read\CuttingDesk;
use App\Support\Asker;
use App\View\Csv;
use App\View\Market\ToBuyList;
use App\View\Stock\CuttingChoice;
use Hebra\Core\Market\Needs;
use Hebra\Core\Market\Taken;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The cutting plan over one piece or several: what comes from which coil, ticked off as it is cut. */
final class CuttingController extends Controller
{
    private const MOST_PIECES = 40;

    /** A longer search is told while it goes on, and ends where nobody waits for it any more. */
    public function show(Request $request): View|StreamedResponse
    {
        if ($request->query('longer') !== '1') {
            return $this->page($request);
        }
        $html = function () use ($request): void {
            echo $this->page($request, CuttingDesk::LONGER, new Asker)->render();
        };

        return response()->stream(
            $html, 200, ['Content-Type' => 'text/html; charset=utf-8', 'X-Accel-Buffering' => 'no'],
        );
    }

    private function page(Request $request, float $seconds = CuttingDesk::SECONDS, ?Asker $asker = null): View
    {
        $workshop = $this->workshop($request);
        $asked = array_slice(array_filter((array) $request->query('pieces', []), is_string(...)), 0, self::MOST_PIECES);
        $choice = new CuttingChoice($workshop, array_values($asked), $this->text($request, 'line'));
        $pins = array_filter((array) $request->query('pins', []), is_string(...));
        $pieces = $choice->chosen;

        return view('stock.cutting', [
            'desk' => new CuttingDesk($workshop, $pieces, $pins, $seconds, $asker),
            'isLonger' => $seconds > CuttingDesk::SECONDS,
            'choice' => $choice,
            'buying' => ToBuyList::besideWire($workshop, Needs::of(array_values($pieces->map(
                fn (Piece $piece): array => [
                    Taken::of(Planner::plan($piece->document(), $workshop->profile())), 1,
                ],
            )->all()))),
            'problem' => null,
        ]);
    }

    /** The plan as a table: one line for each kind of cut of each lot. */
    public function csv(Request $request): Response
    {
        /** @var CuttingDesk $desk */
        $desk = $this->page($request)->getData()['desk'];
        $rows = [];
        foreach ($desk->wires as $wire) {
            foreach ($wire['bars'] as $bar) {
                foreach ($bar['cuts'] as $cut) {
                    $rows[] = [
                        $bar['name'], $wire['wire']->words(), $cut['piece']->name, $cut['cut']->label,
                        round($cut['lengthMm'], 2), $cut['count'] * $bar['times'], round($bar['remainderMm'], 2),
                    ];
                }
            }
        }

        return response(
            Csv::of(['from', 'wire', 'piece', 'cut', 'length_mm', 'count', 'left_mm'], $rows),
            200,
            [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="cutting-plan.csv"',
            ],
        );
    }

    public function reserve(Request $request, Cutting $cutting): RedirectResponse|Response
    {
        /** @var CuttingDesk $desk */
        $desk = $this->page($request)->getData()['desk'];
        try {
            $cutting->keep($desk);
        } catch (Problem $problem) {
            return $this->again($this->page($request), $problem);
        }

        return redirect($desk->address([]), 303)->with(
            'said',
            'Kept for '.$desk->pieces->pluck('name')->implode(', ').': no other piece is planned on that wire.',
        );
    }

    public function release(Request $request, Cutting $cutting): RedirectResponse
    {
        /** @var CuttingDesk $desk */
        $desk = $this->page($request)->getData()['desk'];
        $cutting->release($desk);

        return redirect($desk->address([]), 303)->with('said', 'Nothing is kept back for these pieces any more.');
    }

    /** One or more cuts of a kind have been made, or spoiled. */
    public function store(Request $request, Cutting $cutting): RedirectResponse|Response
    {
        try {
            $cutting->tick(
                $this->workshop($request), $this->texts($request, 'piece', 'lot', 'cut', 'count', 'do'),
            );
        } catch (Problem $problem) {
            return $this->again($this->page($request), $problem);
        }

        return redirect($this->back($request), 303);
    }

    public function destroy(Request $request, int $tick): RedirectResponse
    {
        CutTick::query()->where('workshop_id', $this->workshop($request)->id)->where('id', $tick)->delete();

        return redirect($this->back($request), 303);
    }

    private function back(Request $request): string
    {
        return '/cutting?'.http_build_query(
            array_filter(
                [
                    'pieces' => array_filter((array) $request->query('pieces', []), is_string(...)),
                    'pins' => array_filter((array) $request->query('pins', []), is_string(...)),
                ],
            ),
        );
    }
}

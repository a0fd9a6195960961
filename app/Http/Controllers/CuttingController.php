<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Refused;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\Models\Reservation;
use App\View\Csv;
use App\View\CuttingDesk;
use App\View\ToBuy;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The cutting plan over one piece or several: what comes from which coil, ticked off as it is cut. */
final class CuttingController extends Controller
{
    private const MOST_PIECES = 40;

    /** Seconds where the maker asks to search longer. */
    public const LONGER = 8;

    public function show(Request $request): View
    {
        $workshop = $this->workshop($request);
        $asked = array_slice(array_filter((array) $request->query('pieces', []), is_string(...)), 0, self::MOST_PIECES);
        /** @var Collection<int, Piece> $all */
        $all = $workshop->pieces()->where('is_pattern', false)->latest('id')->limit(200)->get();
        $pins = array_filter((array) $request->query('pins', []), is_string(...));
        $pieces = $all->filter(fn (Piece $piece): bool => in_array($piece->ulid, $asked, true))->values();

        return view('stock.cutting', [
            'desk' => $request->query('longer') === '1' ? new CuttingDesk($workshop, $pieces, $pins, self::LONGER) : new CuttingDesk($workshop, $pieces, $pins),
            'all' => $all,
            'buying' => new ToBuy($workshop, $pieces),
            'problem' => null,
        ]);
    }

    /** The plan as a table: one line for each kind of cut of each lot. */
    public function csv(Request $request): Response
    {
        /** @var CuttingDesk $desk */
        $desk = $this->show($request)->getData()['desk'];
        $rows = [];
        foreach ($desk->wires as $wire) {
            foreach ($wire['bars'] as $bar) {
                foreach ($bar['cuts'] as $cut) {
                    $rows[] = [$bar['name'], $wire['wire']->words(), $cut['piece']->name, $cut['cut']->label, round($cut['lengthMm'], 2), $cut['count'], round($bar['remainderMm'], 2)];
                }
            }
        }

        return response(Csv::of(['from', 'wire', 'piece', 'cut', 'length_mm', 'count', 'left_mm'], $rows), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="cutting-plan.csv"']);
    }

    /** The plan as it stands is kept for these pieces: no other takes that wire. */
    public function reserve(Request $request): RedirectResponse
    {
        /** @var CuttingDesk $desk */
        $desk = $this->show($request)->getData()['desk'];
        DB::transaction(function () use ($desk): void {
            Reservation::query()->whereIn('piece_id', $desk->pieces->pluck('id')->all())->delete();
            foreach ($desk->wires as $wire) {
                foreach ($wire['bars'] as $bar) {
                    foreach ($bar['lot'] === null ? [] : $bar['cuts'] as $cut) {
                        Reservation::query()->create(['workshop_id' => $desk->workshop->id, 'piece_id' => $cut['piece']->id, 'lot_id' => $bar['lot']->id, 'cut' => $cut['cut']->key(),
                            'count' => $cut['count'] + $desk->ticked($cut['piece'], $cut['cut'], $bar['lot']), 'length_um' => (int) round($cut['lengthMm'] * 1000)]);
                    }
                }
            }
        });

        return redirect($desk->address([]), 303)->with('said', 'Kept for '.$desk->pieces->pluck('name')->implode(', ').': no other piece is planned on that wire.');
    }

    public function release(Request $request): RedirectResponse
    {
        /** @var CuttingDesk $desk */
        $desk = $this->show($request)->getData()['desk'];
        Reservation::query()->whereIn('piece_id', $desk->pieces->pluck('id')->all())->delete();

        return redirect($desk->address([]), 303)->with('said', 'Nothing is kept back for these pieces any more.');
    }

    /** One or more cuts of a kind have been made, or spoiled. */
    public function store(Request $request): RedirectResponse|Response
    {
        try {
            $workshop = $this->workshop($request);
            /** @var Piece|null $piece */
            $piece = $workshop->pieces()->where('ulid', $this->text($request, 'piece'))->first();
            /** @var Lot|null $lot */
            $lot = $workshop->lots()->withHeld()->where('ulid', $this->text($request, 'lot'))->first();
            $piece !== null && $lot !== null || throw Refused::invalid('lot', 'That piece or lot is not in this workshop: open the cutting plan again.');
            $key = $this->text($request, 'cut');
            $cut = array_values(array_filter(Planner::plan($piece->document(), $workshop->profile())->cuts, fn (Cut $cut): bool => $cut->key() === $key))[0] ?? null;
            $cut !== null || throw Refused::invalid('cut', 'That cut is no longer in the design: open the cutting plan again.');
            $isSpoiled = $this->text($request, 'do') === 'spoiled';
            DB::transaction(function () use ($workshop, $piece, $lot, $cut, $isSpoiled, $request): void {
                $mine = CutTick::query()->where('workshop_id', $workshop->id);
                $left = $cut->count - (clone $mine)->where('piece_id', $piece->id)->where('cut', $cut->key())->where('is_spoiled', false)->count();
                $many = $isSpoiled ? 1 : max(0, min($left, (int) $this->text($request, 'count')));
                $many > 0 || throw Refused::invalid('cut', "All {$cut->count} of this cut are ticked off already.");
                $length = $workshop->profile()->ruler->upMm($cut->lengthMm());
                $held = $lot->heldMm() - (clone $mine)->where('lot_id', $lot->id)->sum('length_um') / 1000;
                $held >= $many * $length - 0.5 || throw Refused::invalid('lot', "{$lot->name} holds ".$workshop->profile()->length(max(0.0, $held)).', and '.$workshop->profile()->length($many * $length).' were to come from it. If it really is longer, correct it under Stock.');
                foreach (range(1, $many) as $one) {
                    CutTick::query()->create(['workshop_id' => $workshop->id, 'piece_id' => $piece->id, 'lot_id' => $lot->id, 'cut' => $cut->key(), 'length_um' => (int) round($length * 1000), 'is_spoiled' => $isSpoiled]);
                }
            });
        } catch (Problem $problem) {
            return response(view('stock.cutting', [...$this->show($request)->getData(), 'problem' => $problem]), 422);
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
        return '/cutting?'.http_build_query(array_filter(['pieces' => array_filter((array) $request->query('pieces', []), is_string(...)), 'pins' => array_filter((array) $request->query('pins', []), is_string(...))]));
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Refused;
use App\Models\CutTick;
use App\Models\Lot;
use App\Models\Piece;
use App\View\CuttingDesk;
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
    private const LONGER = 8.0;

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
            'problem' => null,
        ]);
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

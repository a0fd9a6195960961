<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Stockkeeping;
use App\Exceptions\Refused;
use App\Models\Lot;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Scale\CableScale;
use Hebra\Core\Scale\Reading;
use Hebra\Core\Scale\SimulatedScale;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/**
 * A lot on the scale: its reading live, and the book set right by it. The scale is the simulated one that
 * ships, or, where the workshop has one, that on the cable: its lines come from the browser.
 */
final class ScaleController extends Controller
{
    /** The bag that a lot lies in on the simulated scale, mg. */
    private const BAG_MG = 1240;

    /** What a line of a scale holds at most. */
    private const LONGEST = 120;

    public function show(Request $request, Lot $lot): View
    {
        Gate::authorize('update', $lot);
        if (! $request->session()->has($this->key($lot)) || $request->query('now') !== null) {
            // It is put on now.
            $request->session()->put($this->key($lot), ['from' => microtime(true), 'tare' => 0]);
        }

        return $this->page($request, $lot);
    }

    private function page(Request $request, Lot $lot): View
    {
        return view('stock.weigh', [
            'lot' => $lot, 'profile' => $this->workshop($request)->profile(),
            'reading' => $this->reading($request, $lot), 'onCable' => $this->workshop($request)->has_scale,
            'problem' => null,
        ]);
    }

    /** The scale's display alone, asked for again and again. */
    public function live(Request $request, Lot $lot): View
    {
        Gate::authorize('update', $lot);

        return view('stock.scale', ['lot' => $lot, 'reading' => $this->reading($request, $lot)]);
    }

    public function tare(Request $request, Lot $lot): RedirectResponse
    {
        Gate::authorize('update', $lot);
        $state = $this->state($request, $lot);
        $request->session()->put($this->key($lot), ['from' => $state['from'], 'tare' => self::BAG_MG]);

        return redirect("/lots/{$lot->ulid}/scale", 303);
    }

    /** What the scale shows is what the lot holds. */
    public function take(Request $request, Lot $lot, Stockkeeping $stock): RedirectResponse|Response
    {
        Gate::authorize('update', $lot);
        try {
            $reading = $this->reading($request, $lot);
            $reading->isConnected
                || throw Refused::invalid('scale', 'The scale does not answer: wait until it shows something again.');
            $reading->isSettled
                || throw Refused::invalid('scale', 'The scale has not come to rest: wait until it stands still.');
            $reading->milligrams >= 0
                || throw Refused::invalid('scale', 'The scale shows less than nothing: take the tare anew.');
            $request->session()->forget($this->key($lot));
            $stock->correct(
                $lot,
                $this->workshop($request),
                match (true) {
                    $lot->isPins() => (string) (int) round($reading->milligrams / $lot->pinMg()),
                    $reading->milligrams === 0 => '0',
                    default => ($reading->milligrams / 1000).' g',
                },
                LengthUnit::Millimetre,
            );
        } catch (Problem $problem) {
            return $this->again($this->page($request, $lot), $problem);
        }

        return redirect('/stock?lot='.$lot->ulid, 303)->with('said', $lot->name.' is weighed; the book has the line.');
    }

    /** @return array{from: float, tare: int} */
    private function state(Request $request, Lot $lot): array
    {
        $state = $request->session()->get($this->key($lot));

        return is_array($state)
            ? ['from' => (float) $state['from'], 'tare' => (int) $state['tare']]
            : ['from' => microtime(true), 'tare' => 0];
    }

    private function reading(Request $request, Lot $lot): Reading
    {
        if ($this->workshop($request)->has_scale) {
            return (new CableScale(mb_scrub(mb_substr($this->text($request, 'line'), 0, self::LONGEST))))->reading();
        }
        $state = $this->state($request, $lot);
        // The lot in its bag, a little off what the book says, as it would be.
        $off = 1 + (crc32($lot->ulid) % 13 - 6) / 2000;

        return (new SimulatedScale(
            (int) round($lot->heldMg() * $off) + self::BAG_MG, $state['tare'], crc32($lot->ulid),
        ))->reading(
            microtime(true) - $state['from'],
        );
    }

    private function key(Lot $lot): string
    {
        return 'scale.'.$lot->ulid;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench;
use App\Actions\BenchEvent;
use App\Actions\CloseMaking;
use App\Actions\Inspecting;
use App\Actions\SupplyBook;
use App\Exceptions\Refused;
use App\Http\Problems;
use App\Http\Requests\PieceRequest;
use App\Models\Bead;
use App\Models\HandBook;
use App\Models\Making;
use App\Models\Piece;
use App\Read\MakingDesk;
use App\View\Desk;
use Hebra\Core\Problem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Making a piece step by step, and closing the making into the metal book. */
final class MakingController extends Controller
{
    private const MOST_EVENTS = 500;

    public function __construct(
        private readonly Bench $bench,
        private readonly CloseMaking $closing,
        private readonly Inspecting $inspecting,
    ) {
    }

    public function store(PieceRequest $request): Response|RedirectResponse
    {
        return $this->done($request, $request->piece(), 'make', fn () => $this->bench->begin(
            $request->piece(),
            ['operations' => true, 'parts' => false][$request->string('order')->value()] ?? null,
        ));
    }

    public function update(Request $request, Making $making): Response|RedirectResponse
    {
        $piece = $this->own($making);

        return $this->done(
            $request,
            $piece,
            'make',
            fn () => $this->bench->move(
                $making,
                $making->plan($this->workshop($request)->profile()),
                BenchEvent::read($request->all()),
            ),
        );
    }

    /** A bead broke: one less is there, and of the next more are spared. */
    public function broken(Request $request, Making $making, SupplyBook $supplies): RedirectResponse
    {
        $piece = $this->own($making);
        $key = $this->text($request, 'bead');
        $bead = $this->workshop($request)->beads()->get()->first(fn (Bead $one): bool => $one->core()->key() === $key);
        if ($bead !== null && $bead->owned > 0) {
            $supplies->correct($this->workshop($request), $bead, $bead->owned - 1);
        }

        return redirect("/pieces/{$piece->ulid}/make", 303)->with('said', $bead === null
            ? 'It is not among your beads, so nothing is counted.'
            : "One {$bead->core()->words()} less: {$bead->owned} are there.");
    }

    /** What a device did while it was away, in order: each counts once; what no longer fits is named and left. */
    public function events(Request $request, Making $making): JsonResponse
    {
        $this->own($making);
        $events = $request->input('events');
        is_array($events) && count($events) <= self::MOST_EVENTS
            || throw Refused::invalid('events', 'Give a list of at most '.self::MOST_EVENTS.' events.');
        $workshop = $this->workshop($request);
        $plan = $making->plan($workshop->profile());
        $left = [];
        foreach ($events as $event) {
            try {
                $this->bench->move($making, $plan, BenchEvent::read(is_array($event) ? $event : []));
            } catch (Problem $problem) {
                $left[] = $problem->getMessage();
            }
        }

        $carried = (new MakingDesk($making->refresh(), $plan))->carried(HandBook::of($workshop)->pace());

        return new JsonResponse([...$carried, 'left' => $left]);
    }

    /** What was found on the finished piece; with a point to mend, its step is on the bench again. */
    public function inspect(Request $request, Making $making): Response|RedirectResponse
    {
        $piece = $this->own($making);

        return $this->done(
            $request,
            $piece,
            'make',
            fn () => $this->inspecting->keep($making, $this->workshop($request)->profile(), $request->all()),
        );
    }

    public function close(Request $request, Making $making): Response|RedirectResponse
    {
        $piece = $this->own($making);

        return $this->done(
            $request,
            $piece,
            'log',
            fn () => $this->closing->close($making, $this->workshop($request), $request->all()),
        );
    }

    public function destroy(Request $request, Making $making): Response|RedirectResponse
    {
        $piece = $this->own($making);

        return $this->done($request, $piece, 'make', function () use ($making): void {
            ! $making->isClosed() || throw Refused::closed();
            $making->delete();
        });
    }

    private function own(Making $making): Piece
    {
        Gate::authorize('update', $making);

        return $making->piece()->withTrashed()->firstOrFail();
    }

    /** @param  callable(): mixed  $act */
    private function done(Request $request, Piece $piece, string $stage, callable $act): Response|RedirectResponse
    {
        $problem = null;
        try {
            $act();
            $piece->leftAt($stage);
        } catch (Problem $caught) {
            $problem = $caught;
        }
        if ($problem !== null && $request->expectsJson()) {
            throw $problem;
        }
        $isFragment = $request->hasHeader('HX-Request');
        if ($problem === null && ! $isFragment) {
            return redirect("/pieces/{$piece->ulid}/{$stage}", 303);
        }
        $piece->refresh()->moved();
        $desk = new Desk($piece, $this->workshop($request), $stage, null, null, $problem);

        return response($desk->rendered($isFragment), $problem === null ? 200 : Problems::status($problem));
    }
}

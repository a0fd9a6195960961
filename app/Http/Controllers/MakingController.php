<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench;
use App\Actions\CloseMaking;
use App\Exceptions\Refused;
use App\Http\Problems;
use App\Http\Requests\PieceRequest;
use App\Models\Making;
use App\Models\Piece;
use App\View\Desk;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Problem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Making a piece step by step, and closing the making into the metal book. */
final class MakingController extends Controller
{
    public function __construct(private readonly Bench $bench, private readonly CloseMaking $closing)
    {
    }

    public function store(PieceRequest $request): Response|RedirectResponse
    {
        return $this->done($request, $request->piece(), 'make', fn () => $this->bench->begin($request->piece()));
    }

    public function update(Request $request, Making $making): Response|RedirectResponse
    {
        $piece = $this->own($making);

        return $this->done($request, $piece, 'make', function () use ($request, $making): void {
            $at = (int) $this->text($request, 'at');
            $plan = Planner::plan($making->document(), $this->workshop($request)->profile());
            match ($this->text($request, 'do')) {
                'next' => $this->bench->next($making, $plan, $at, $this->text($request, 'hooked') === '1', $this->text($request, 'all') === '1'),
                'back' => $this->bench->back($making, $at),
                'count' => $this->bench->count($making, $plan, $at, (int) $this->text($request, 'counted')),
                default => throw Refused::invalid('do', 'Give next, back or count.'),
            };
        });
    }

    public function close(Request $request, Making $making): Response|RedirectResponse
    {
        $piece = $this->own($making);

        return $this->done($request, $piece, 'log', fn () => $this->closing->close($making, $this->workshop($request), $request->all()));
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

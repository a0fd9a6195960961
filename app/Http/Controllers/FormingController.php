<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PieceRequest;
use App\Models\Making;
use App\Read\MakingDesk;
use App\View\StepFrame;
use App\View\StepPicture;
use Hebra\Core\Figure\View;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\School\School;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The picture of a step of a piece: how its wire looks before it and after it. */
final class FormingController extends Controller
{
    /** A page asks for a picture of the piece as it now is, by a name that changes with it. */
    private const KEPT_SECONDS = 3600;

    public function piece(PieceRequest $request): Response
    {
        $plan = Planner::plan($request->piece()->document(), $this->workshop($request)->profile())
            ->inOperations($request->boolean('operations'));

        return $this->picture(
            $request, $plan, $request->has('view') ? $request->side() : null,
            $request->query('hand', $plan->profile->schools->choice(School::Hand)) === 'left',
        );
    }

    /** Of a piece as it was when it was begun. */
    public function making(Request $request, Making $making): Response
    {
        Gate::authorize('view', $making->piece);

        $plan = $making->plan($this->workshop($request)->profile());

        return $this->picture($request, $plan, null, $request->query('seen') === MakingDesk::MIRRORED);
    }

    private function picture(Request $request, Plan $plan, ?View $view, bool $isMirrored): Response
    {
        $states = new FormingStates($plan);
        $step = (int) $request->route('step');
        abort_unless($step >= 1 && $step <= $states->count(), 404);

        $frame = match (true) {
            $request->boolean('large') => StepFrame::Large,
            $request->boolean('loupe') => StepFrame::Loupe,
            default => StepFrame::Hand,
        };

        return response(StepPicture::of($plan, $step - 1, $view, $states, $frame, $isMirrored), 200, [
            'Content-Type' => 'image/svg+xml; charset=utf-8',
            'Cache-Control' => 'private, max-age='.self::KEPT_SECONDS,
        ]);
    }
}

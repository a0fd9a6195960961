<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Drilling;
use App\Models\Drill;
use App\View\PracticeDesk;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Short drills that are measured. */
final class PracticeController extends Controller
{
    public function show(Request $request): View
    {
        $kind = $request->input('kind');

        return view('hand.practice', ['desk' => new PracticeDesk(
            $this->workshop($request), is_string($kind) && isset(Drilling::KINDS[$kind]) ? $kind : 'loops',
        ), 'problem' => null]);
    }

    public function store(Request $request, Drilling $drilling): RedirectResponse|Response
    {
        try {
            $drill = $drilling->keep(
                $this->workshop($request),
                $this->texts($request, 'kind', 'metal', 'size', 'temper', 'wanted', 'sizes', 'cut', 'left'),
            );
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }

        return redirect("/practice?kind={$drill->kind}", 303)->with('said', 'Kept: look how it compares.');
    }

    public function destroy(Drill $drill): RedirectResponse
    {
        Gate::authorize('update', $drill);
        $drill->delete();

        return redirect("/practice?kind={$drill->kind}", 303)->with(
            'said',
            'That drill is taken out, with what it taught.',
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepPhoto;
use App\Models\Making;
use App\Models\Photo;
use App\View\RecordDesk;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The record of one making: what it took, how it measures, what it looks like. */
final class RecordController extends Controller
{
    public function show(Request $request, Making $making): View
    {
        Gate::authorize('view', $making);

        return view('pieces.record', ['desk' => new RecordDesk($making, $this->workshop($request)), 'problem' => null]);
    }

    public function addPhoto(Request $request, Making $making, KeepPhoto $keep): RedirectResponse|Response
    {
        Gate::authorize('update', $making);
        try {
            $keep->keep($making, $request->file('photo'));
        } catch (Problem $problem) {
            return $this->again($this->show($request, $making), $problem);
        }

        return redirect("/makings/{$making->ulid}/record", 303)->with(
            'said',
            'The photo is kept, without place or time of where it was taken.',
        );
    }

    public function photo(Photo $photo): Response
    {
        Gate::authorize('view', $photo);

        return response(
            $photo->jpeg(),
            200,
            ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400'],
        );
    }

    public function dropPhoto(Photo $photo): RedirectResponse
    {
        Gate::authorize('update', $photo);
        $making = Making::query()->findOrFail($photo->making_id);
        $photo->delete();

        return redirect("/makings/{$making->ulid}/record", 303)->with('said', 'The photo is taken out.');
    }
}

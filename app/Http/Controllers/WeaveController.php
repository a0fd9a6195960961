<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\History;
use App\View\SeenPiece;
use App\View\WeaveDesk;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Problem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The weave studio: written or tapped, drawn, stepped through, and made into a band. */
final class WeaveController extends Controller
{
    public function show(Request $request): Response|RedirectResponse
    {
        $texts = $this->asked($request);
        $add = $this->text($request, 'add');
        if ($add !== '') {
            $texts = WeaveDesk::tapped($texts, mb_substr($add, 0, 10));
        }
        $desk = new WeaveDesk($texts, $this->workshop($request)->profile());
        if ($request->headers->has('HX-Request')) {
            return response(view('weave.desk', ['desk' => $desk])->render(), 200, ['HX-Push-Url' => $desk->address()]);
        }

        return $add !== '' ? redirect($desk->address()) : response(view('weave.page', ['desk' => $desk])->render());
    }

    /** The band that it makes, as a picture. */
    public function band(Request $request): Response
    {
        $workshop = $this->workshop($request);
        $piece = (new WeaveDesk($this->asked($request), $workshop->profile()))->piece();

        return response(SeenPiece::picture(PieceJson::write($piece), $workshop), 200, [
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=3600',
        ]);
    }

    public function store(Request $request, History $history): Response|RedirectResponse
    {
        $desk = new WeaveDesk($this->asked($request), $this->workshop($request)->profile());
        try {
            $desk->problem === null || throw $desk->problem;
            $piece = $history->begin($this->workshop($request), $desk->piece(), 'Began with a weave');
        } catch (Problem) {
            // The page says what is wrong with the weave, at its field.
            return response(view('weave.page', ['desk' => $desk])->render(), 422);
        }

        return redirect("/pieces/{$piece->ulid}/lay-out");
    }

    /** @return array<string, string> */
    private function asked(Request $request): array
    {
        $texts = [];
        foreach (WeaveDesk::USUAL as $key => $usual) {
            $texts[$key] = $request->has($key) ? mb_substr($this->text($request, $key), 0, 400) : $usual;
        }

        return $texts;
    }
}

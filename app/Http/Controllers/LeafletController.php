<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PieceRequest;
use App\View\KitDesk;
use App\View\Leaflet;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** A piece as a leaflet, on a page that prints or as one file that opens anywhere. */
final class LeafletController extends Controller
{
    public function __invoke(PieceRequest $request): Response
    {
        try {
            $asked = trim($this->text($request, 'for'));
            $people = $asked === '' ? 1 : Count::parse($asked, 'for', 1, KitDesk::MOST_PEOPLE);
        } catch (Problem $problem) {
            return $this->again(view('leaflet.page', ['leaflet' => $this->leaflet($request, 1, false)]), $problem);
        }
        if (! $request->boolean('file')) {
            return new Response(view('leaflet.page', [
                'leaflet' => $this->leaflet($request, $people, false), 'problem' => null,
            ])->render());
        }
        $leaflet = $this->leaflet($request, $people, true);

        return new Response(view('leaflet.file', ['leaflet' => $leaflet])->render(), 200, [
            'Content-Type' => 'text/html; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$leaflet->fileName().'"',
        ]);
    }

    /** Bags for a class, with wire to spare. */
    public function kit(PieceRequest $request): View|Response
    {
        $page = fn (int $people, int $percent): View => view('leaflet.kit', [
            'kit' => new KitDesk($request->piece(), $this->workshop($request), $people, $percent), 'problem' => null,
        ]);
        try {
            $asked = $this->texts($request, 'for', 'more');

            return $page(
                trim($asked['for']) === '' ? 1 : Count::parse($asked['for'], 'for', 1, KitDesk::MOST_PEOPLE),
                trim($asked['more']) === ''
                    ? KitDesk::USUAL_PERCENT
                    : Count::parse($asked['more'], 'more', 0, KitDesk::MOST_PERCENT),
            );
        } catch (Problem $problem) {
            return $this->again($page(1, KitDesk::USUAL_PERCENT), $problem);
        }
    }

    private function leaflet(PieceRequest $request, int $people, bool $isFile): Leaflet
    {
        return new Leaflet($request->piece(), $this->workshop($request), $people, $isFile);
    }
}

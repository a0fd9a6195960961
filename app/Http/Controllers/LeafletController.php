<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PieceRequest;
use App\Models\Workshop;
use App\Pdf\LeafletSheet;
use App\Pdf\Paper;
use App\View\KitDesk;
use App\View\Leaflet;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\School\School;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** A piece as a leaflet, on a page that prints, as PDF, or as one file that opens anywhere. */
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
        $leaflet = $this->leaflet($request, $people, $request->boolean('file'));

        return match (true) {
            $request->boolean('pdf') => $this->file(
                LeafletSheet::of($leaflet, Paper::of($this->text($request, 'paper'), $leaflet->desk->profile->ruler)),
                'application/pdf', $leaflet->fileName('pdf'),
            ),
            $leaflet->isFile => $this->file(
                view('leaflet.file', ['leaflet' => $leaflet])->render(), 'text/html; charset=utf-8',
                $leaflet->fileName('html'),
            ),
            default => new Response(view('leaflet.page', ['leaflet' => $leaflet, 'problem' => null])->render()),
        };
    }

    private function file(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, [
            'Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.$name.'"',
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
        return new Leaflet($request->piece(), $this->reader($request), $people, $isFile);
    }

    /** Whom it is for: with the maker’s ruler and hand where nothing else is asked for. */
    private function reader(PieceRequest $request): Workshop
    {
        $workshop = $this->workshop($request);
        ['in' => $measures, 'hand' => $hand] = $this->texts($request, 'in', 'hand');
        $own = $workshop->profile();
        $isMetric = in_array($measures, Leaflet::MEASURES, true) ? $measures === 'mm' : $own->ruler->isMetric();

        return $workshop->toReader(
            $isMetric === $own->ruler->isMetric() ? $own->ruler : Ruler::usual($isMetric),
            in_array($hand, Leaflet::hands(), true) ? $hand : $own->schools->choice(School::Hand),
        );
    }
}

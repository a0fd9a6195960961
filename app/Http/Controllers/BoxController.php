<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Box;
use App\Actions\Going;
use App\Exceptions\Refused;
use App\Models\Finished;
use App\Models\Want;
use App\Pdf\PieceLabel;
use App\View\Csv;
use App\View\Market\BoxDesk;
use App\View\Market\CustomerSheet;
use App\View\Market\FinishedDesk;
use Hebra\Core\Market\Place;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\Unreadable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The box of finished pieces: what is in it, where each is, what is on its label. */
final class BoxController extends Controller
{
    private const MOST_LETTERS = 80;

    public function __construct(private readonly Box $box)
    {
    }

    public function index(Request $request): View
    {
        return view('market.box', ['desk' => new BoxDesk(
            $this->workshop($request), $this->text($request, 'where') ?: BoxDesk::WITH_YOU,
            mb_substr(trim($this->text($request, 'words')), 0, self::MOST_LETTERS),
        )]);
    }

    public function show(Request $request, Finished $finished): View
    {
        Gate::authorize('view', $finished);

        return $this->page($request, $finished);
    }

    private function page(Request $request, Finished $finished): View
    {
        return view('market.finished', [
            'desk' => new FinishedDesk($finished, $this->workshop($request)), 'problem' => null,
        ]);
    }

    /** It goes to another place. */
    public function move(Request $request, Finished $finished): RedirectResponse|Response
    {
        return $this->done($request, $finished, function () use ($request, $finished): string {
            $place = Place::tryFrom($this->text($request, 'place')) ?? throw Unreadable::choice(
                'place', $this->text($request, 'place'),
                array_map(fn (Place $one): string => $one->value, $finished->place->next()),
            );
            $cents = trim($this->text($request, 'cents'));
            $this->box->move($finished, Going::to(
                $place, $cents === '' ? $finished->askedCents() : Money::parse($cents, 'cents')->cents(),
                trim($this->text($request, 'words')),
            ));

            return "No. {$finished->number} is {$place->words()}.";
        });
    }

    public function label(Request $request, Finished $finished): RedirectResponse|Response
    {
        return $this->done($request, $finished, function () use ($request, $finished): string {
            $price = trim($this->text($request, 'price'));
            $this->box->label(
                $finished, $price === '' ? null : Money::parse($price, 'price')->cents(),
                trim($this->text($request, 'note')),
            );

            return 'Its label is written.';
        });
    }

    /** For whom it is kept. */
    public function keep(Request $request, Finished $finished): RedirectResponse|Response
    {
        return $this->done($request, $finished, function () use ($request, $finished): string {
            $ulid = $this->text($request, 'for');
            /** @var Want|null $want */
            $want = $this->workshop($request)->wants()->where('ulid', $ulid)->first();
            $ulid === '' || $want !== null
                || throw Refused::invalid('for', 'That is not wanted any more: choose another.');
            $this->box->keepFor($finished, $want);

            return $want === null ? 'It is kept for nobody.' : "It is kept for {$want->occasion->name}.";
        });
    }

    /** @param  callable(): string  $act */
    private function done(Request $request, Finished $finished, callable $act): RedirectResponse|Response
    {
        Gate::authorize('update', $finished);
        try {
            $said = $act();
        } catch (Problem $problem) {
            return $this->again($this->page($request, $finished->refresh()), $problem);
        }

        return redirect("/box/{$finished->ulid}", 303)->with('said', $said);
    }

    public function sheet(Request $request, Finished $finished): View
    {
        Gate::authorize('view', $finished);

        return view('market.sheet', [
            'sheet' => CustomerSheet::receipt($finished, $this->workshop($request)), 'back' => "/box/{$finished->ulid}",
        ]);
    }

    public function labelPdf(Request $request, Finished $finished): Response
    {
        Gate::authorize('view', $finished);

        return new Response(
            PieceLabel::of($finished, $request->getSchemeAndHttpHost()), 200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="label.pdf"'],
        );
    }

    public function csv(Request $request): Response
    {
        $rows = (function () use ($request) {
            foreach ($this->workshop($request)->finished()->orderBy('number')->cursor() as $one) {
                yield [
                    $one->number, $one->name, $one->place->value, $one->moved_at->format('Y-m-d'),
                    json_encode($one->metals, JSON_THROW_ON_ERROR), $one->minutes, self::cents($one->cost_cents),
                    self::cents($one->price_cents), self::cents($one->sold_cents), $one->note,
                ];
            }
        })();

        return $this->table('box', Csv::of([
            'number', 'name', 'where', 'since', 'metals_mg', 'minutes', 'cost', 'price', 'sold', 'note',
        ], $rows));
    }

    private static function cents(?int $cents): string
    {
        return $cents === null ? '' : Money::fromCents($cents)->text();
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Stockkeeping;
use App\Actions\SupplyBook;
use App\Actions\Tagging;
use App\Actions\TypedIn;
use App\Exceptions\Refused;
use App\Models\Bead;
use App\Models\Lot;
use App\Models\Movement;
use App\Models\SupplyMovement;
use App\Pdf\LotLabel;
use App\Read\Period;
use App\View\Bench\RunningLow;
use App\View\Csv;
use App\View\Found;
use App\View\Ideas;
use App\View\MonthsDesk;
use App\View\Stock\BookFlow;
use App\View\Stock\BookLines;
use App\View\Stock\BookMonths;
use App\View\Stock\StockWall;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Coils, offcuts, pins, what else there is, and the books behind them. */
final class StockController extends Controller
{
    /** Rows of a kind on one page; the rest is found by a line. */
    private const MOST_ROWS = 200;

    public function __construct(private readonly Stockkeeping $stock)
    {
    }

    /** The wall; or rows, where the maker asks for them or a field of theirs was refused. */
    public function index(Request $request): View
    {
        if ($request->query('as') === 'rows' || ! ($request->isMethodSafe() || $request->is('stock/line'))) {
            return $this->rows($request);
        }

        return $this->wall($request, $this->text($request, 'lot'));
    }

    private function wall(Request $request, string $open): View
    {
        return view('stock.index', [
            'wall' => new StockWall($this->workshop($request), $this->text($request, 'line'), $open), 'problem' => null,
        ]);
    }

    private function rows(Request $request): View
    {
        $workshop = $this->workshop($request);
        $wall = new StockWall($workshop, $this->text($request, 'line'));
        $lots = $wall->lots->filter($wall->isFoundLot(...));
        $beads = $wall->beads->filter($wall->isFoundBead(...));

        return view('stock.rows', [
            'workshop' => $workshop,
            'profile' => $workshop->profile(),
            'lots' => $lots->take(self::MOST_ROWS)->sortBy(
                fn (Lot $lot): array => [$lot->metal, -$lot->wire()->diameterMm(), $lot->kind],
            )->values(),
            'moreLots' => max(0, $lots->count() - self::MOST_ROWS),
            'moreBeads' => max(0, $beads->count() - self::MOST_ROWS),
            'line' => $wall->isSearching() ? $wall->line : '',
            'scrap' => $wall->scrap(),
            'spoken' => $wall->spoken,
            'low' => (new RunningLow($workshop))->words(),
            'beads' => $beads->take(self::MOST_ROWS),
            'supplies' => $wall->supplies,
            'problem' => null,
        ]);
    }

    /** One typed line: what comes in is taken in, what is looked for is shown. */
    public function line(Request $request, SupplyBook $supplies): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $typed = TypedIn::read($workshop, $this->text($request, 'line'));
            if ($typed->finds()) {
                return redirect('/stock?'.http_build_query(['line' => $this->text($request, 'line')]), 303);
            }
            [$address, $said] = $typed->take($workshop, $this->stock, $supplies);
        } catch (Problem $problem) {
            return $this->again($this->index($request), Refused::at('line', $problem));
        }

        return redirect($address, 303)->with('said', $said);
    }

    public function store(Request $request): RedirectResponse|Response
    {
        try {
            $input = $this->texts(
                $request, 'kind', 'name', 'metal', 'size', 'measured', 'temper', 'amount', 'pins', 'pin_length',
                'price',
            );
            $lot = $this->stock->receive(
                $this->workshop($request),
                $input,
                $this->workshop($request)->profile()->unit(),
            );
        } catch (Problem $problem) {
            return $this->again($this->index($request), $problem);
        }

        return redirect('/stock?lot='.$lot->ulid, 303)->with('said', $lot->name.' is in stock.');
    }

    /** Month by month, a year at a time. */
    public function lotsCsv(Request $request): Response
    {
        $rows = $this->workshop($request)->lots()->withHeld()->orderBy('id')->get()->map(fn (Lot $lot): array => [
            $lot->name, $lot->kind, $lot->metal, $lot->size, $lot->temper, round($lot->heldMm(), 1),
            round($lot->heldMg() / 1000, 3), $lot->isPins() ? $lot->heldPins() : null,
            $lot->isPins() ? $lot->pinMm() : null, $lot->price_cents === null ? null : $lot->price_cents / 100,
            $lot->measured_um === null ? null : $lot->measured_um / 1000,
        ])->all();

        return $this->table(
            'lots',
            Csv::of(
                [
                    'name', 'kind', 'metal', 'size', 'temper', 'held_mm', 'held_g', 'pins', 'pin_mm', 'price',
                    'measured_mm',
                ],
                array_values($rows),
            ),
        );
    }

    public function beadsCsv(Request $request): Response
    {
        $rows = $this->workshop($request)->beads()->get()->sortBy('id')->map(fn (Bead $bead): array => [
            $bead->name, $bead->shape, $bead->width_um / 1000, $bead->length_um / 1000, $bead->hole_um / 1000,
            $bead->drilling, $bead->material, $bead->colour, $bead->owned, $bead->price()?->text(),
        ])->all();

        return $this->table(
            'beads',
            Csv::of(
                [
                    'name', 'shape', 'width_mm', 'length_mm', 'hole_mm', 'drilling', 'material', 'colour', 'owned',
                    'price',
                ],
                array_values($rows),
            ),
        );
    }

    public function bookCsv(Request $request): Response
    {
        $rows = function () use ($request): iterable {
            foreach ($this->workshop($request)->movements()->with('lot')->orderBy('id')->lazy(500) as $line) {
                /** @var Movement $line */
                yield [
                    $line->created_at->format('Y-m-d H:i:s'),
                    $line->entry,
                    $line->kind,
                    $line->account,
                    $line->lot?->name,
                    $line->metal,
                    $line->mass_mg / 1000,
                    $line->words,
                    $line->reverses,
                ];
            }
        };

        return $this->table(
            'metal-book',
            Csv::of(['when', 'entry', 'kind', 'account', 'lot', 'metal', 'mass_g', 'words', 'reverses'], $rows()),
        );
    }

    /** What a lot is enough for. */
    public function ideas(Request $request, Lot $lot): View
    {
        Gate::authorize('update', $lot);

        return view('stock.ideas', ['desk' => new Ideas($this->workshop($request), $lot)]);
    }

    public function label(Request $request, Lot $lot): Response
    {
        Gate::authorize('update', $lot);

        return response(
            LotLabel::of($lot, $this->workshop($request)->profile()),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="label.pdf"'],
        );
    }

    public function correct(Request $request, Lot $lot): RedirectResponse|Response
    {
        Gate::authorize('update', $lot);
        try {
            $this->stock->correct(
                $lot,
                $this->workshop($request),
                $this->text($request, 'holds'),
                $this->workshop($request)->profile()->unit(),
            );
        } catch (Problem $problem) {
            return $this->again($this->index($request), Refused::at('holds.'.$lot->ulid, $problem));
        }

        return redirect('/stock?lot='.$lot->ulid, 303)->with(
            'said',
            $lot->name.' is corrected; the book has the line.',
        );
    }

    /** The maker’s own words for it. */
    public function tag(Request $request, Lot $lot, Tagging $tagging): RedirectResponse|Response
    {
        Gate::authorize('update', $lot);
        try {
            $tagging->tag($lot, $this->text($request, 'tags'));
        } catch (Problem $problem) {
            return $this->again($this->wall($request, $lot->ulid), Refused::at('tags.'.$lot->ulid, $problem));
        }

        return redirect('/stock?lot='.$lot->ulid, 303)->with('said', $lot->tags === ''
            ? "{$lot->name} has no tags."
            : "{$lot->name} is found by {$lot->tags}.");
    }

    public function book(Request $request): View
    {
        $asked = $this->texts($request, 'metal', 'year', 'words', 'from', 'to');
        $words = mb_substr(trim($asked['words']), 0, Found::MOST_LETTERS);
        $flow = new BookFlow($this->workshop($request), $asked['metal'], $asked['year']);
        $isAsked = $asked['metal'] !== '' || $asked['year'] !== '';
        $period = Period::asked($flow->year === '' ? $flow->years[0] ?? '' : $flow->year, $asked['from'], $asked['to']);
        $isPart = $flow->year !== '' && ! $period->isWhole();
        $lines = fn (): Builder => BookLines::told(BookLines::of(
            $this->workshop($request), $isAsked ? $flow->metal : null, $flow->year === '' ? null : $period,
        ), $words);

        return view('stock.book', [
            'flow' => $flow,
            'isAsked' => $isAsked,
            'profile' => $this->workshop($request)->profile(),
            'counted' => SupplyMovement::query()->where(
                'workshop_id',
                $this->workshop($request)->id,
            )->with(['bead', 'supply'])->latest('id')->paginate(60, pageName: 'counted'),
            'words' => $words,
            'months' => $flow->metal === null ? null : new BookMonths(
                new MonthsDesk($this->workshop($request), $period->year), $flow->metal, $period,
            ),
            'subtotals' => match (true) {
                $words !== '' => BookLines::subtotals($lines()),
                $isPart => BookLines::ofMonths($this->workshop($request), $isAsked ? $flow->metal : null, $period),
                default => [],
            },
            'lines' => $lines()->with(['lot', 'making.piece' => fn ($piece) => $piece->withTrashed()])
                ->latest()->latest('id')->simplePaginate(60)->withQueryString(),
            'hasPartners' => $this->workshop($request)->movements()->distinct()->count('maker') > 1,
            'problem' => null,
        ]);
    }

    public function reverse(Request $request): RedirectResponse|Response
    {
        try {
            $this->stock->reverse($this->workshop($request), $this->text($request, 'entry'));
        } catch (Problem $problem) {
            return $this->again($this->book($request), $problem);
        }

        return redirect('/stock/book', 303)->with('said', 'Reversed: the lines stand beside the old ones.');
    }
}

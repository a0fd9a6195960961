<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Planning;
use App\Models\Occasion;
use App\Models\Want;
use App\Read\Wanted;
use App\View\Csv;
use App\View\Market\FitsDesk;
use App\View\Market\PlanDesk;
use Carbon\CarbonImmutable;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Money;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What is wanted by when, what is done on which day for it, and what is to be bought. */
final class PlanController extends Controller
{
    public function __construct(private readonly Planning $planning)
    {
    }

    public function show(Request $request): View
    {
        return view('market.plan', ['desk' => $this->desk($request), 'problem' => null]);
    }

    private function desk(Request $request): PlanDesk
    {
        $refused = $request->route('occasion');

        return new PlanDesk(
            new Wanted($this->workshop($request)),
            $refused instanceof Occasion ? $refused->ulid : $this->text($request, 'change'),
        );
    }

    public function store(Request $request): RedirectResponse|Response
    {
        $isSaid = $this->text($request, 'piece') !== '';

        return $this->done(
            $request, 'It is in the plan'.($isSaid ? '.' : ': say now what is wanted for it.'),
            fn () => $this->planning->order($this->workshop($request), $this->texts(
                $request, 'kind', 'name', 'due', 'note', 'paid', 'piece', 'count', 'price', 'from',
            )),
        );
    }

    public function update(Request $request, Occasion $occasion): RedirectResponse|Response
    {
        Gate::authorize('update', $occasion);

        return $this->done($request, 'It is changed.', fn () => $this->planning->plan(
            $this->workshop($request), $this->texts($request, 'kind', 'name', 'due', 'note', 'paid'), $occasion,
        ));
    }

    public function destroy(Request $request, Occasion $occasion): RedirectResponse|Response
    {
        Gate::authorize('update', $occasion);

        return $this->done(
            $request, 'It is taken out of the plan. What is made stays in the box.',
            fn () => $this->planning->forget($occasion),
        );
    }

    public function want(Request $request, Occasion $occasion): RedirectResponse|Response
    {
        Gate::authorize('update', $occasion);

        return $this->done($request, 'It is wanted.', fn () => $this->planning->want(
            $occasion, $this->texts($request, 'piece', 'count', 'price', 'from'),
        ));
    }

    /** More of it, fewer, or none. */
    public function count(Request $request, Want $want): RedirectResponse|Response
    {
        $want->workshop_id === $this->workshop($request)->id || abort(404);

        return $this->done($request, 'The plan is made anew.', fn () => $this->planning->reduce(
            $want, Count::parse($this->text($request, 'count'), 'count', 0, Want::MOST),
        ));
    }

    public function week(Request $request): RedirectResponse|Response
    {
        return $this->done($request, 'Your hours are set.', fn () => $this->planning->week(
            $this->workshop($request), (array) $request->input('week', []),
        ));
    }

    public function day(Request $request): RedirectResponse|Response
    {
        return $this->done($request, 'That day has its own hours now.', fn () => $this->planning->on(
            $this->workshop($request), $this->text($request, 'day'),
            Planning::minutes($this->text($request, 'time'), 'time'),
        ));
    }

    /** What could be made on a day, or in so much time. */
    public function fits(Request $request): View|Response
    {
        $wanted = new Wanted($this->workshop($request));
        $desk = fn (CarbonImmutable $date, string $time): View => view('market.fits', [
            'desk' => new FitsDesk($wanted->workshop, $date, self::within(
                trim($time) === '' ? $wanted->days->minutesOn($wanted->dayOf($date)) : Planning::minutes($time, 'time'),
            )),
            'time' => $time, 'problem' => null,
        ]);
        try {
            $day = $this->text($request, 'day');

            return $desk(
                trim($day) === '' ? $this->nextLongDay($wanted) : Planning::day($day, 'day'),
                $this->text($request, 'time'),
            );
        } catch (Problem $problem) {
            return $this->again($desk($this->nextLongDay($wanted), ''), $problem);
        }
    }

    /** The next day that has the most time of a week. */
    private function nextLongDay(Wanted $wanted): CarbonImmutable
    {
        $best = 0;
        for ($day = 1; $day < 7; $day++) {
            $best = $wanted->days->minutesOn($day) > $wanted->days->minutesOn($best) ? $day : $best;
        }

        return $wanted->date($best);
    }

    /** There is something to look at even on a day without time. */
    private static function within(int $minutes): int
    {
        return $minutes > 0 ? $minutes : 60;
    }

    public function toBuy(Request $request): View
    {
        return view('market.to-buy', ['desk' => $this->desk($request)]);
    }

    public function toBuyCsv(Request $request): Response
    {
        $rows = array_map(fn (array $row): array => [
            $row['kind'], $row['words'], $row['wanted'], $row['owned'], $row['buy'], $row['left'],
            $row['cents'] === null ? '' : Money::fromCents($row['cents'])->text(),
        ], $this->desk($request)->toBuy->rows);

        return $this->table(
            'to-buy', Csv::of(['kind', 'what', 'wanted', 'owned', 'to buy', 'left over', 'about'], $rows),
        );
    }

    /** @param  callable(): mixed  $act */
    private function done(Request $request, string $said, callable $act): RedirectResponse|Response
    {
        try {
            $act();
        } catch (Problem $problem) {
            return $this->again(view('market.plan', ['desk' => $this->desk($request)]), $problem);
        }

        return redirect('/plan', 303)->with('said', $said);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Repairing;
use App\Models\Repair;
use App\Read\Wanted;
use App\View\Market\CustomerSheet;
use App\View\Market\PlanDesk;
use App\View\Market\RepairDesk;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Repairs and changes: taken in, done, forgotten. */
final class RepairController extends Controller
{
    public function __construct(private readonly Repairing $repairing)
    {
    }

    public function store(Request $request): RedirectResponse|Response
    {
        try {
            $repair = $this->repairing->take($this->workshop($request), $this->texts(
                $request, 'who', 'due', 'number', 'name', 'words', 'minutes', 'price',
            ));
        } catch (Problem $problem) {
            return $this->again(
                view('market.plan', ['desk' => new PlanDesk(new Wanted($this->workshop($request)))]), $problem,
            );
        }

        return redirect("/repairs/{$repair->ulid}", 303)->with('said', 'It is in the plan.');
    }

    public function show(Request $request, Repair $repair): View
    {
        Gate::authorize('view', $repair);

        return $this->page($request, $repair);
    }

    private function page(Request $request, Repair $repair): View
    {
        return view('market.repair', [
            'desk' => new RepairDesk($repair, $this->workshop($request)), 'problem' => null,
        ]);
    }

    public function done(Request $request, Repair $repair): RedirectResponse|Response
    {
        Gate::authorize('update', $repair);
        try {
            $this->repairing->done(
                $repair, $this->texts($request, 'took', 'got', 'lot', 'amount'),
                $this->workshop($request)->profile()->unit(),
            );
        } catch (Problem $problem) {
            return $this->again($this->page($request, $repair->refresh()), $problem);
        }

        return redirect("/repairs/{$repair->ulid}", 303)->with('said', 'It is done.');
    }

    public function sheet(Request $request, Repair $repair): View
    {
        Gate::authorize('view', $repair);

        return view('market.sheet', [
            'sheet' => CustomerSheet::repair($repair, $this->workshop($request)), 'back' => "/repairs/{$repair->ulid}",
        ]);
    }

    /** Who it was for is forgotten once it is done; before, it is taken out of the plan. */
    public function destroy(Repair $repair): RedirectResponse
    {
        Gate::authorize('update', $repair);
        if ($repair->done_at !== null) {
            $repair->occasion?->delete();

            return redirect("/repairs/{$repair->ulid}", 303)->with('said', 'Who it was for is forgotten.');
        }
        $this->repairing->drop($repair);

        return redirect('/plan', 303)->with('said', 'It is taken out of the plan.');
    }
}

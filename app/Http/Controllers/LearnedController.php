<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Refused;
use App\Models\MakingCut;
use App\Read\HandDesk;
use App\View\Csv;
use App\View\InsightDesk;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

/** What the logs taught, and whether plans follow it. */
final class LearnedController extends Controller
{
    public function show(Request $request): View
    {
        return view('hand.learned', ['desk' => new HandDesk($this->workshop($request)), 'problem' => null]);
    }

    public function insight(Request $request): View
    {
        // What an hour brings is priced piece by piece: after the page, or on demand.
        return view('hand.insight', [
            'desk' => new InsightDesk($this->workshop($request)), 'isPriced' => $request->boolean('pays'),
        ]);
    }

    /** Every log of every cut, as a table. */
    public function csv(Request $request): Response
    {
        $rows = [];
        /** @var Collection<int, MakingCut> $cuts */
        $cuts = $this->workshop($request)->makingCuts()->with(
            ['making', 'making.piece' => fn ($piece) => $piece->withTrashed()],
        )->orderBy('id')->get();
        foreach ($cuts as $cut) {
            $rows[] = [
                $cut->created_at->format('Y-m-d'),
                $cut->making->piece->name ?? 'practice',
                $cut->label,
                $cut->count,
                $cut->awg,
                $cut->planned_um / 1000,
                $cut->cut_um / 1000,
                $cut->left_um / 1000,
                $cut->is_bound ? '?' : $cut->short_um / 1000,
                $cut->way === null ? '' : round($cut->ratio(), 4),
            ];
        }

        return response(
            Csv::of(
                ['day', 'piece', 'cut', 'count', 'awg', 'planned_mm', 'cut_mm', 'left_mm', 'short_mm', 'used_over_sum'],
                $rows,
            ),
            200,
            ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="logs.csv"'],
        );
    }

    public function update(Request $request): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $said = match ($this->text($request, 'do')) {
                'on' => $this->follow($request, true),
                'off' => $this->follow($request, false),
                'back', 'out' => $this->putBack($request),
                'forget' => $this->forget($request),
                default => throw Refused::invalid('do', 'Give on, off, back, out or forget.'),
            };
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }
        $workshop->settled();

        return back(303, fallback: '/hand/learned')->with('said', $said);
    }

    private function follow(Request $request, bool $isOn): string
    {
        $this->workshop($request)->update(['hand_on' => $isOn]);

        return $isOn ? 'Cuts follow your hand.' : 'Cuts follow the plain sums.';
    }

    /** A log that was held out counts all the same, or no longer. */
    private function putBack(Request $request): string
    {
        $cut = $this->workshop($request)->makingCuts()->where('id', (int) $this->text($request, 'cut'))->first()
            ?? throw Refused::invalid(
                'cut',
                'That log is not in this workshop.',
            );
        $cut->forceFill(['is_put_back' => $this->text($request, 'do') === 'back'])->save();

        return $cut->is_put_back ? 'It counts.' : 'It is judged like the others.';
    }

    /**
     * What was learned of one way, of loops, of spring-back or of time begins anew; the logs themselves stay with their
     * makings.
     */
    private function forget(Request $request): string
    {
        $workshop = $this->workshop($request);
        $what = $this->text($request, 'what');
        $now = ['forgotten_at' => now()];
        $gone = match ($what) {
            'loop',
            'inside' => $workshop->measurements()->where('what', $what)->whereNull('forgotten_at')->update($now),
            'pace' => $workshop->stepTimes()->whereNull('forgotten_at')->update($now),
            default => preg_match('~^([a-z]+)/(-?\d+)$~', $what, $match) === 1
                ? $workshop->makingCuts()->where('way', $match[1])->where(
                    'awg',
                    (int) $match[2],
                )->whereNull('forgotten_at')->update($now)
                : throw Refused::invalid('what', 'That is nothing that is learned.'),
        };

        return $gone === 1 ? 'One log is forgotten: it begins anew.' : "{$gone} logs are forgotten: it begins anew.";
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\History;
use App\Exceptions\Refused;
use App\Http\Problems;
use App\Models\Piece;
use App\View\Found;
use App\View\SumDesk;
use App\View\SumTargets;
use Hebra\Core\Piece\Change\SetNote;
use Hebra\Core\Piece\Change\Several;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Problem;
use Hebra\Core\Sum\Asked;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Each rule on its own, for a question in the middle of something else: picked, or typed in one line. */
final class SumController extends Controller
{
    public function __construct(private readonly History $history)
    {
    }

    public function index(Request $request): Response|RedirectResponse
    {
        $ask = '';
        $isLive = $request->hasHeader('HX-Request');
        try {
            $ask = $this->text($request, 'ask');
            if (trim($ask) !== '') {
                $asked = Asked::read($ask);
                $desk = $this->desk($request, $asked->sum, $asked->inputs, $asked->missing);

                $joint = str_contains($desk->address(), '?') ? '&' : '?';

                return $isLive
                    ? $this->live($request, $desk)
                    : redirect($desk->address().$joint.http_build_query(['ask' => $ask]));
            }
            $problem = null;
        } catch (Problem $caught) {
            $problem = $caught;
            // What is no sum may be in the workshop.
            if (! $isLive && (new Found($this->workshop($request), $ask))->groups !== []) {
                return redirect('/find?'.http_build_query(['line' => $ask]));
            }
        }
        $view = view(
            $isLive ? 'sums.asked' : 'sums.index',
            ['ask' => $ask, 'problem' => $problem, 'recent' => $this->maker($request)->recentSums()],
        );

        return response($view->render(), $problem === null ? 200 : Problems::status($problem));
    }

    public function show(Request $request, string $name): Response
    {
        $sum = Sums::all()[$name] ?? abort(404);
        try {
            $texts = $this->given($request, $sum);
            $desk = $this->desk($request, $sum, $texts, $this->unsaid($request, $sum, $texts));
        } catch (Problem $problem) {
            return response(view('refused', ['text' => $problem->getMessage()])->render(), Problems::status($problem));
        }
        if ($request->hasHeader('HX-Request')) {
            return $this->live($request, $desk, 'sums.answer');
        }

        return response(
            view(
                'sums.show',
                ['desk' => $desk, 'ask' => $this->text($request, 'ask'), 'isKept' => $request->query() !== []],
            )->render(),
            $desk->problem === null ? 200 : Problems::status($desk->problem),
        );
    }

    /**
     * The same sum in place; once asked for good it is remembered and has its address.
     *
     * @param  view-string  $view
     */
    private function live(Request $request, SumDesk $desk, string $view = 'sums.sum'): Response
    {
        $isKept = $request->has('keep');
        $response = response(
            view($view, ['desk' => $desk, 'isKept' => $isKept])->render(),
            $desk->problem === null ? 200 : Problems::status($desk->problem),
        );
        if ($isKept && $desk->problem === null) {
            $response->header('HX-Push-Url', $desk->address());
        }

        return $response;
    }

    /** The page says that it was asked, since looking at it writes nothing. */
    public function asked(Request $request, string $name): Response
    {
        $sum = Sums::all()[$name] ?? abort(404);
        $desk = $this->desk($request, $sum, $this->given($request, $sum));
        $desk->problem === null || throw $desk->problem;
        $this->maker($request)->rememberSum($sum->words().' '.implode(', ', $desk->filled()), $desk->address());

        return response()->noContent();
    }

    public function targets(Request $request, string $name): View
    {
        $sum = Sums::all()[$name] ?? abort(404);
        $desk = $this->desk($request, $sum, $this->given($request, $sum));

        return view('sums.use', ['desk' => $desk, 'targets' => SumTargets::of($desk, $this->workshop($request))]);
    }

    public function use(Request $request, string $name): RedirectResponse
    {
        $sum = Sums::all()[$name] ?? abort(404);
        $desk = $this->desk($request, $sum, $this->given($request, $sum));
        $desk->problem === null || throw $desk->problem;
        $piece = $this->workshop($request)->pieces()->where('ulid', $this->text($request, 'piece'))->first();
        $piece instanceof Piece
            || throw Refused::invalid('piece', 'That piece is not in this workshop: choose one that is.');
        Gate::authorize('update', $piece);
        $part = $this->text($request, 'part');
        if ($part === '') {
            $note = trim($piece->document()->note."\n".$desk->line());
            $this->history->change($piece, $piece->revision, new SetNote($note));
        } else {
            $settings = $sum->settings(
                \Hebra\Core\Sum\Given::read($sum, $desk->filled(), $desk->profile->unit()),
            )[$piece->document()->part(PartId::of($part))->technique] ?? throw Refused::invalid(
                'part', 'This sum says nothing about that part: choose another.',
            );
            $changes = array_map(
                fn (string $key, string $value) => ChangeReader::read(
                    ['do' => 'part.set', 'part' => $part, 'key' => $key, 'value' => $value],
                ),
                array_keys($settings),
                $settings,
            );
            $this->history->change($piece, $piece->revision, new Several($changes, 'From the '.$sum->words().' sum'));
        }

        return redirect("/pieces/{$piece->ulid}/lay-out?".http_build_query(['open' => $part]), 303)->with(
            'said',
            $part === ''
                ? 'Written in the notes of '.$piece->name.'.'
                : 'Set from the '.$sum->words().' sum. Undo takes it back.',
        );
    }

    /**
     * @param  array<string, string>  $texts
     * @param  list<string>  $missing
     */
    private function desk(Request $request, Sum $sum, array $texts, array $missing = []): SumDesk
    {
        return new SumDesk($sum, $texts, $this->workshop($request)->profile(), $this->maker($request), $missing);
    }

    /**
     * What the question left out and nobody has said since.
     *
     * @param  array<string, string>  $texts
     * @return list<string>
     */
    private function unsaid(Request $request, Sum $sum, array $texts): array
    {
        try {
            $asked = Asked::read($this->text($request, 'ask'));
        } catch (Problem) {
            return [];
        }

        $isUnsaid = fn (string $key): bool => ($texts[$key] ?? '') === $asked->inputs[$key];

        return $asked->sum->name !== $sum->name ? [] : array_values(array_filter($asked->missing, $isUnsaid));
    }

    /** @return array<string, string> what was asked, or the example */
    private function given(Request $request, Sum $sum): array
    {
        $keys = array_map(fn (Input $input): string => $input->key, $sum->inputs);

        return $request->hasAny($keys) ? $this->texts($request, ...$keys) : $sum->example();
    }
}

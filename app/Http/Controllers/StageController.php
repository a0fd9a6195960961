<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\History;
use App\Exceptions\Refused;
use App\Http\Problems;
use App\Http\Requests\PieceRequest;
use App\Models\Piece;
use App\Pdf\BenchSheet;
use App\Pdf\CutSheet;
use App\Pdf\Paper;
use App\View\BillDesk;
use App\View\Desk;
use App\View\Strip;
use App\View\SvgFile;
use Hebra\Core\Figure\View as Side;
use Hebra\Core\Piece\Change\CarryBead;
use Hebra\Core\Piece\Change\MoveBead;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Plan\LayReady;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Technique\Written\Opened;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** The five stages of a piece, on one address each, and the changes made there. */
final class StageController extends Controller
{
    public function __construct(private readonly History $history)
    {
    }

    public function show(PieceRequest $request, Piece $piece, string $stage): Response
    {
        isset(Piece::STAGES[$stage]) || abort(404);

        return $this->page($request, $stage, null, $request->hasHeader('HX-Request') ? $request->was() : []);
    }

    public function change(PieceRequest $request): Response|RedirectResponse|JsonResponse
    {
        return $this->moved($request, function (Piece $piece, int $seen) use ($request): Piece {
            $profile = $this->workshop($request)->profile();
            $change = $request->input('do') === 'part.open'
                ? Opened::change($piece->document(), PartId::of($this->text($request, 'part')))
                : ChangeReader::read($this->fields($request), $profile->unit(), $profile->schools);
            $before = $piece->document();
            $piece = $this->history->change($piece, $seen, $change);
            if ($change instanceof MoveBead) {
                [$part, $run] = $change->landsAt($before, $piece->document());
                $request->merge(['open' => $part->text, 'run' => (string) $run]);
            }
            if ($change instanceof CarryBead) {
                $request->merge([
                    'open' => $change->to->text, 'run' => (string) $change->landsAt($before, $piece->document()),
                ]);
            }

            return $piece;
        });
    }

    /** @return array<string, mixed> what is ticked in several boxes is one line */
    private function fields(PieceRequest $request): array
    {
        $chosen = $request->input('chosen');
        $isTicked = is_array($chosen) && array_filter($chosen, is_string(...)) === $chosen;

        return [...$request->all(), ...($isTicked ? ['chosen' => implode(' ', $chosen)] : [])];
    }

    /**
     * What a change would make of the drawing and the figures, while it is still pulled at: nothing is kept.
     *
     * @throws Problem if it would be refused
     */
    public function tried(PieceRequest $request): JsonResponse
    {
        $piece = $request->piece();
        $request->seenRevision() === $piece->revision
            || throw Refused::invalid('revision', 'The piece has changed since.');
        $profile = $this->workshop($request)->profile();
        $document = ChangeReader::read($request->all(), $profile->unit(), $profile->schools)->apply($piece->document());
        $desk = new Desk(
            $piece, $this->workshop($request), 'lay-out', $request->openPart(), $request->openRun(),
            side: $request->side(), instead: $document,
        );
        $desk->was = $request->was();

        return response()->json([
            'drawing' => view('stages.picture', ['desk' => $desk])->render(),
            'figures' => view('stages.figures', [
                'desk' => $desk, 'bill' => new BillDesk($piece, $this->workshop($request), $desk->plan),
            ])->render(),
            'ratio' => $desk->drawing->ratio, 'places' => $desk->board()->places(),
            'stop' => $desk->board()->newStop($piece->document()),
        ]);
    }

    public function undo(PieceRequest $request): Response|RedirectResponse|JsonResponse
    {
        return $this->moved($request, $this->history->undo(...));
    }

    public function redo(PieceRequest $request): Response|RedirectResponse|JsonResponse
    {
        return $this->moved($request, $this->history->redo(...));
    }

    /** @param  callable(Piece, int): Piece  $move */
    private function moved(PieceRequest $request, callable $move): Response|RedirectResponse|JsonResponse
    {
        $piece = $request->piece();
        try {
            $move($piece, $request->seenRevision());
            $piece->leftAt($this->stageOf($request));
        } catch (Problem $problem) {
            if ($request->expectsJson()) {
                throw $problem;
            }

            return $this->page($request, $this->stageOf($request), $problem);
        }
        if ($request->expectsJson()) {
            return response()->json(['revision' => $piece->revision, 'piece' => json_decode($piece->json())]);
        }

        if ($request->hasHeader('HX-Request')) {
            return $this->page($request, $this->stageOf($request), null, $request->was());
        }
        $where = http_build_query([
            'open' => $request->openPart()?->text, 'run' => $request->openRun(), 'role' => $request->openRole(),
            'view' => $request->side() === Side::Front ? null : $request->side()->value,
        ]);

        return redirect("/pieces/{$piece->ulid}/{$this->stageOf($request)}?{$where}", 303);
    }

    private function stageOf(PieceRequest $request): string
    {
        $stage = $request->input('stage');

        return is_string($stage) && isset(Piece::STAGES[$stage]) ? $stage : $request->piece()->stage;
    }

    /** @param  list<float>  $was  what the figures were on the page that was changed */
    public function page(
        PieceRequest $request,
        string $stage,
        ?Problem $problem = null,
        array $was = [],
    ): Response {
        $desk = new Desk(
            $request->piece(), $this->workshop($request), $stage, $request->openPart(), $request->openRun(), $problem,
            $request->side(),
        );
        $desk->was = $was;
        $desk->askedRole = $request->openRole();

        return response(
            $desk->rendered($request->hasHeader('HX-Request')),
            $problem === null ? 200 : Problems::status($problem),
        );
    }

    public function layReady(PieceRequest $request): View
    {
        $desk = new Desk($request->piece(), $this->workshop($request), 'lay-out');
        $for = $request->input('for', $desk->document->makes->count);
        try {
            $count = Count::parse(is_scalar($for) ? (string) $for : '', 'for', 1, 200);
            $problem = null;
        } catch (Problem $caught) {
            [$count, $problem] = [$desk->document->makes->count, $caught];
        }

        return view(
            'stages.lay-ready',
            ['desk' => $desk, 'ready' => LayReady::of($desk->document, $desk->profile, $count), 'problem' => $problem],
        );
    }

    public function strips(PieceRequest $request): View
    {
        $desk = new Desk($request->piece(), $this->workshop($request), 'cut');

        return view('stages.strips', [
            'desk' => $desk,
            'strips' => array_map(fn ($cut): Strip => new Strip($cut, $desk->profile, 1.0), $desk->plan->strips()),
        ]);
    }

    public function drawing(PieceRequest $request): Response
    {
        return $this->picture(SvgFile::drawing(
            new Desk($request->piece(), $this->workshop($request), 'lay-out', side: $request->side()),
        ));
    }

    public function stripsDrawn(PieceRequest $request): Response
    {
        return $this->picture(SvgFile::strips(new Desk($request->piece(), $this->workshop($request), 'cut')));
    }

    public function cutSheet(PieceRequest $request): Response
    {
        $desk = new Desk($request->piece(), $this->workshop($request), 'cut');

        return $this->sheet(
            $request->piece(),
            'cut-sheet',
            CutSheet::of($desk->plan, Paper::of($this->text($request, 'paper'), $desk->profile->ruler)),
        );
    }

    public function benchSheet(PieceRequest $request): Response
    {
        $desk = new Desk($request->piece(), $this->workshop($request), 'lay-out');

        return $this->sheet(
            $request->piece(),
            'bench-sheet',
            BenchSheet::of($desk->plan, Paper::of($this->text($request, 'paper'), $desk->profile->ruler)),
        );
    }

    private function sheet(Piece $piece, string $what, string $pdf): Response
    {
        return response(
            $pdf,
            200,
            [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'inline; filename="'.(Str::slug($piece->name) ?: 'piece').'-'.$what.'.pdf"',
            ],
        );
    }

    private function picture(string $svg): Response
    {
        return response($svg, 200, ['Content-Type' => 'image/svg+xml']);
    }
}

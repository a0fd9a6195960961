<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\History;
use App\Actions\Tagging;
use App\Exceptions\Refused;
use App\Http\Requests\PieceRequest;
use App\Models\Bead;
use App\Models\Piece;
use App\View\PiecesWall;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The pieces of a workshop: list, start, import, export, copy, put away and take back. */
final class PieceController extends Controller
{
    public function __construct(private readonly History $history)
    {
    }

    public function index(Request $request): View
    {
        $workshop = $this->workshop($request);
        $deleted = $request->session()->get('deleted');

        return view('pieces.index', [
            'wall' => new PiecesWall($workshop, $this->text($request, 'line')),
            'families' => Patterns::byFamily(),
            'deleted' => is_string($deleted)
                ? $workshop->pieces()->onlyTrashed()->where('ulid', $deleted)->first()
                : null,
        ]);
    }

    public function store(Request $request): RedirectResponse|Response
    {
        try {
            $name = trim($this->text($request, 'name'));
            $pattern = $this->text($request, 'pattern');
            $piece = $this->history->begin(
                $this->workshop($request),
                $this->withStandIns($request, $this->started($request, $pattern, $name)),
                'Began',
            );
        } catch (Problem $problem) {
            return $this->again($this->index($request), $problem);
        }

        return redirect("/pieces/{$piece->ulid}/lay-out");
    }

    /** A piece from a pattern of Hebra's, or from one of the maker's own. */
    private function started(Request $request, string $pattern, string $name): Document
    {
        $workshop = $this->workshop($request);
        /** @var Piece|null $own */
        $own = $workshop->patterns()->where('ulid', $pattern)->first();

        if ($own !== null) {
            return $own->document()->withName($name === '' ? $own->name : $name);
        }

        return Patterns::start(
            $pattern, $name === '' ? Patterns::named($pattern)->newName() : $name, $workshop->profile()->schools,
        );
    }

    /** Beads of the maker's own in place of the pattern's, by what those are called in the piece. */
    private function withStandIns(Request $request, Document $piece): Document
    {
        foreach ((array) $request->input('instead', []) as $key => $ulid) {
            /** @var Bead|null $own */
            $own = is_string($ulid) ? $this->workshop($request)->beads()->where('ulid', $ulid)->first() : null;
            if ($own !== null && isset($piece->beads[$key])) {
                $piece = $piece->withBead((string) $key, $own->core());
            }
        }

        return $piece;
    }

    /** Keeps a piece as it stands as a pattern of the maker's own. */
    public function keep(PieceRequest $request): RedirectResponse
    {
        $document = $request->piece()->document();
        $kept = $this->history->begin($this->workshop($request), $document, 'Kept as a pattern');
        $kept->forceFill(['is_pattern' => true])->save();

        return redirect('/patterns')->with('said', $document->name.' is kept as a pattern.');
    }

    public function import(Request $request): RedirectResponse|Response
    {
        try {
            $file = $request->file('file');
            $file instanceof UploadedFile
                || throw Refused::invalid('file', 'No file came: choose a piece that Hebra exported (.json).');
            $file->isValid() && $file->getSize() <= PieceJson::MOST_BYTES
                || throw Refused::invalid(
                    'file',
                    'The file is larger than 1024 KiB or did not arrive whole: a file of pieces takes at most '
                        .'1024 KiB.',
                );
            // All are read before the first is kept: a bad one refuses the whole file.
            $pieces = PieceJson::readAll($file->getContent());
            $workshop = $this->workshop($request);
            $begun = DB::transaction(
                fn (): array => array_map(
                    fn (Document $piece): Piece => $this->history->begin($workshop, $piece, 'Imported'),
                    $pieces,
                ),
            );
        } catch (Problem $problem) {
            return $this->again(
                $this->index($request),
                $problem instanceof Refused ? $problem : Refused::at('file', $problem),
            );
        }

        return count($begun) === 1
            ? redirect("/pieces/{$begun[0]->ulid}/lay-out")
            : redirect('/pieces')->with('said', count($begun).' pieces brought in.');
    }

    public function show(PieceRequest $request): RedirectResponse
    {
        return redirect("/pieces/{$request->piece()->ulid}/{$request->piece()->stage}");
    }

    public function export(PieceRequest $request): Response
    {
        $piece = $request->piece();

        return response($piece->json()."\n", 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.(Str::slug($piece->name) ?: 'piece').'.hebra.json"',
        ]);
    }

    /** All pieces of the workshop in one file. */
    public function exportAll(Request $request): Response
    {
        /** @var Collection<int, Piece> $pieces */
        $pieces = $this->workshop($request)->pieces()->orderBy('id')->limit(PieceJson::MOST_PIECES)->get();

        return response(PieceJson::writeAll(
            array_values($pieces->map(fn (Piece $piece): Document => $piece->document())->all())
        )."\n", 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="pieces.hebra.json"',
        ]);
    }

    public function copy(PieceRequest $request): RedirectResponse
    {
        $document = $request->piece()->document();
        $copy = $this->history->begin(
            $this->workshop($request),
            $document->withName(Str::limit($document->name, 70, '').', copy'),
            'Copied from '.$document->name,
        );

        return redirect("/pieces/{$copy->ulid}/lay-out");
    }

    /** The maker’s own words for it. */
    public function tag(PieceRequest $request, Tagging $tagging): RedirectResponse|Response
    {
        try {
            $tagging->tag($request->piece(), $this->text($request, 'tags'));
        } catch (Problem $problem) {
            return $this->again($this->index($request), $problem);
        }

        return redirect('/pieces', 303)->with('said', $request->piece()->tags === ''
            ? "{$request->piece()->name} has no tags."
            : "{$request->piece()->name} is found by {$request->piece()->tags}.");
    }

    public function destroy(PieceRequest $request): RedirectResponse
    {
        $request->piece()->delete();

        return redirect(
            $request->piece()->is_pattern ? '/patterns' : '/pieces',
        )->with('deleted', $request->piece()->ulid);
    }

    public function restore(Request $request, string $deleted): RedirectResponse
    {
        /** @var Piece $piece */
        $piece = $this->workshop($request)->pieces()->onlyTrashed()->where('ulid', $deleted)->firstOrFail();
        $piece->restore();

        return $piece->is_pattern ? redirect('/patterns') : redirect("/pieces/{$piece->ulid}/{$piece->stage}");
    }
}

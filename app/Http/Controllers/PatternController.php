<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\Answers;
use App\Models\HandBook;
use App\Models\Piece;
use App\View\PatternCard;
use App\View\PatternGallery;
use App\View\PatternOpened;
use App\View\PatternPicture;
use App\View\PieceCard;
use Hebra\Core\Piece\Patterns;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

/** Starting patterns on their rails, one of them taken down, and their pictures. */
final class PatternController extends Controller
{
    private const KEPT_SECONDS = 86_400;

    public function index(Request $request): View
    {
        $workshop = $this->workshop($request);
        $deleted = $request->session()->get('deleted');
        /** @var Collection<int, Piece> $own */
        $own = $workshop->patterns()->latest('id')->limit(60)->get();
        $asked = array_filter($request->query(), is_string(...));
        $card = isset($asked['open']) ? PatternCard::all()[$asked['open']] ?? null : null;

        return view('pieces.patterns', [
            'own' => PieceCard::of($own, $workshop),
            'gallery' => new PatternGallery($workshop, $asked),
            'opened' => $card === null ? null : new PatternOpened($card, $workshop),
            'pace' => HandBook::of($workshop)->pace(),
            'profile' => $workshop->profile(),
            'deleted' => is_string($deleted)
                ? $workshop->patterns()->onlyTrashed()->where('ulid', $deleted)->first()
                : null,
        ]);
    }

    public function picture(Request $request, string $pattern): Response
    {
        abort_unless(isset(Patterns::all()[$pattern]), 404);
        $request->attributes->set(Answers::FOR_ALL, true);

        return response(PatternPicture::of($pattern), 200, [
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'public, max-age='.self::KEPT_SECONDS,
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Variants;
use App\Http\Requests\PieceRequest;
use App\View\VariantsDesk;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Variants of a piece: kept beside it, seen side by side, one of them taken. */
final class VariantController extends Controller
{
    public function __construct(private readonly Variants $variants)
    {
    }

    public function show(PieceRequest $request): View
    {
        return $this->page($request);
    }

    public function store(PieceRequest $request): RedirectResponse
    {
        $this->variants->keep($request->piece());

        return redirect("/pieces/{$request->piece()->ulid}/beside");
    }

    public function take(PieceRequest $request): RedirectResponse|Response
    {
        try {
            $this->variants->take($request->piece(), $request->seenRevision(), $this->text($request, 'variant'));
        } catch (Problem $problem) {
            return $this->again($this->page($request), $problem);
        }

        return redirect("/pieces/{$request->piece()->ulid}/lay-out");
    }

    private function page(PieceRequest $request): View
    {
        return view('pieces.beside', [
            'desk' => new VariantsDesk($request->piece()->refresh(), $this->workshop($request)), 'problem' => null,
        ]);
    }
}

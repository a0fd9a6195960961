<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\Answers;
use App\View\SeenPiece;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A piece as lists show it. Its address names what is seen, so browsers may keep it. */
final class SeenController extends Controller
{
    private const KEPT_SECONDS = 31_536_000;

    public function __invoke(Request $request, string $key): Response
    {
        $file = SeenPiece::file($key, $this->workshop($request)) ?? abort(404);
        $request->attributes->set(Answers::FOR_MAKER, true);

        return response($file, 200, [
            'Content-Type' => 'image/svg+xml',
            'Cache-Control' => 'private, immutable, max-age='.self::KEPT_SECONDS,
        ]);
    }
}

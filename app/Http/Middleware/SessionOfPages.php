<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a page asks for beside itself, a picture or a figure that comes later, reads the session and never writes it:
 * else what one picture had read would be written over what the maker has just been told, or would age it unseen. Nor
 * does what scripts and pictures are answered bring the cookie of a session again: a slow answer to the last page
 * would bring back the session that was left since.
 */
final class SessionOfPages extends StartSession
{
    private const BESIDE = [
        '*.svg', '*.jpg', '*.glb', 'lots/*/scale/live', 'pieces/*/cost', 'pieces/*/lay-ready', 'pieces/*/tried',
        'supplies/names',
    ];

    public function handle($request, Closure $next): Response
    {
        $response = parent::handle($request, $next);
        if ($this->isBesideAPage($request) || $this->isScriptInItsOwnSession($request)) {
            $response->headers->remove('Set-Cookie');
        }

        return $response;
    }

    protected function saveSession($request): void
    {
        if (! $this->isBesideAPage($request)) {
            parent::saveSession($request);
        }
    }

    private function isScriptInItsOwnSession(Request $request): bool
    {
        $session = $request->session();

        return ($request->hasHeader('HX-Request') || $request->expectsJson())
            && $request->cookies->get($session->getName()) === $session->getId();
    }

    private function isBesideAPage(Request $request): bool
    {
        return $request->isMethodSafe() && $request->is(self::BESIDE);
    }
}

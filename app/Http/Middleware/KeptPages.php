<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\SqliteConnection;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Page;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page that was just shown and that nothing was written since is shown again as it was, its forms named anew and
 * signed for the session that asks. Only for pages that tell nothing but what is in the book and what day it is; what
 * was just said to the maker is never kept. Of a page that is asked in many ways the last is kept.
 */
final class KeptPages
{
    private const KEPT_SECONDS = 86_400;

    /** In place of the session's token; no page writes this itself, as it would be escaped. */
    private const TOKEN = '<<token>>';

    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->session();
        if (! $request->isMethod('GET') || $session->get('_flash.old', []) !== []) {
            return $next($request);
        }
        $name = 'page-'.md5(serialize($this->of($request)));
        $state = self::state().'?'.$request->getQueryString();
        [$was, $kept] = Cache::get($name, ['', '']);
        if ($was === $state) {
            return new Page(Once::renewed(str_replace(self::TOKEN, $session->token(), $kept)));
        }
        $response = $next($request);
        if ($response instanceof Page && $response->getStatusCode() === 200) {
            $page = str_replace($session->token(), self::TOKEN, (string) $response->getContent());
            Cache::put($name, [$state, $page], self::KEPT_SECONDS);
        }

        return $response;
    }

    /** @return list<mixed> whose page it is, and all of the request that pages are made of */
    private function of(Request $request): array
    {
        return [
            $request->user()?->getAuthIdentifier(), $request->getSchemeAndHttpHost(), $request->path(),
            $request->headers->get('HX-Request'), $request->cookie('light'),
        ];
    }

    /** What pages tell of, as one word. */
    private static function state(): string
    {
        return config()->string('hebra.version').@filemtime(public_path('build/manifest.json')).now()->toDateString()
            .SqliteConnection::written();
    }
}

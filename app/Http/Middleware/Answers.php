<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * What every answer carries, refusals and redirects too: nothing runs and nothing is drawn that does not come from
 * here, no browser keeps what a maker saw but drawings that name nothing, nobody is told which version runs. Only names
 * that are known here are answered. Drawings are sent short; pages are not, as they hold a token (CVE-2013-3587).
 * Source: OWASP ASVS 4.0, V8.2, V14.4 and V14.5.
 */
final class Answers
{
    /** Set on a request whose answer is the same for every maker and holds nothing of any: it may be kept. */
    public const FOR_ALL = 'for all';

    /** The same of a drawing without a word, under an address that nobody guesses: its maker’s browser keeps it. */
    public const FOR_MAKER = 'for its maker';

    private const DRAWING = 'image/svg+xml';

    /** Shorter ones are sent as they are. */
    private const SHORT = 1000;

    private const POLICY = "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
        ."font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; "
        ."frame-ancestors 'none'";

    /** A picture of its own carries its colours inside and fetches nothing. */
    private const PICTURE = "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'";

    private const HEADERS = [
        'X-Content-Type-Options' => 'nosniff', 'X-Frame-Options' => 'DENY', 'Referrer-Policy' => 'same-origin',
        'Cross-Origin-Opener-Policy' => 'same-origin', 'Cross-Origin-Resource-Policy' => 'same-origin',
        'Permissions-Policy' => 'camera=(self), microphone=(self), geolocation=(), payment=(), usb=()',
    ];

    public function handle(Request $request, Closure $next): Response
    {
        $response = $this->isOurs($request)
            ? $next($request)
            : response(
                'This address is not served here. Whoever runs this workshop can allow it: HEBRA_HOSTS=name ./hebra '
                    ."serve\n",
                400,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            );
        $response->headers->set(
            'Content-Security-Policy',
            $response->headers->get('Content-Type') === self::DRAWING ? self::PICTURE : self::POLICY,
        );
        $response->headers->add(self::HEADERS);
        // A name of the open network; what is said of this machine's own would bind every other server on it.
        if ($request->isSecure() && preg_match('/[a-z]\.(?!local$)[a-z]{2,}$/i', $request->getHost()) === 1) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        // The guard is not asked where no session was begun.
        $mayBeKept = $request->attributes->getBoolean(self::FOR_ALL)
            || $request->attributes->getBoolean(self::FOR_MAKER);
        if (! $mayBeKept && $request->hasSession() && Auth::check()) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }
        self::shorten($request, $response);
        header_remove('X-Powered-By');

        return $response;
    }

    private static function shorten(Request $request, Response $response): void
    {
        $text = (string) $response->getContent();
        if (
            $response->headers->get('Content-Type') === self::DRAWING && strlen($text) > self::SHORT
            && in_array('gzip', $request->getEncodings(), true)
        ) {
            $response->setContent((string) gzencode($text));
            $response->headers->add(['Content-Encoding' => 'gzip', 'Vary' => 'Accept-Encoding']);
        }
    }

    private function isOurs(Request $request): bool
    {
        return in_array(
            mb_strtolower($request->headers->get('host') === null ? '' : $request->getHost()),
            (array) config('hebra.hosts'),
            true,
        );
    }
}

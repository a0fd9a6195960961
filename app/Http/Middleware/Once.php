<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * A form carries a name of its own (`@csrf` writes it): the same form with the same contents, sent twice by a double
 * click or a page loaded again, counts once. Written in the transaction of what it does, so that of two at the same
 * moment one waits for the other.
 */
final class Once
{
    private const FIELD = '_once';

    private const LETTERS = 20;

    private const DAYS = 2;

    public static function field(): string
    {
        return self::named(Str::random(self::LETTERS));
    }

    private static function named(string $name): string
    {
        return '<input type="hidden" name="'.self::FIELD.'" value="'.$name.'" autocomplete="off">';
    }

    /** A page once more, its forms named anew. */
    public static function renewed(string $page): string
    {
        $field = '~'.self::named('[A-Za-z0-9]{'.self::LETTERS.'}').'~';

        return (string) preg_replace_callback($field, fn (): string => self::field(), $page);
    }

    public function handle(Request $request, Closure $next): Response
    {
        $name = $request->request->get(self::FIELD);
        $request->request->remove(self::FIELD);
        $maker = $request->user();
        // A fragment says which revision or step it saw, and so counts once by itself.
        if ($request->isMethodSafe() || ! is_string($name) || $maker === null || $request->hasHeader('HX-Request')) {
            return $next($request);
        }
        $form = hash(
            'sha256',
            (string) json_encode(
                [$name, $request->method(), $request->path(), $request->except('_token', '_method')],
                JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
        );
        $rows = DB::table('sent_forms')->where('user_id', $maker->getAuthIdentifier())->where('form', $form);
        $location = (clone $rows)->value('location');
        if ($location !== null) {
            return redirect($location, 303)->with('said', 'That had arrived already: it counts once.');
        }
        $response = $next($request);
        if ($response->isRedirection()) {
            DB::table('sent_forms')->where('created_at', '<', now()->subDays(self::DAYS))->delete();
            DB::table('sent_forms')->insertOrIgnore(
                ['user_id' => $maker->getAuthIdentifier(), 'form' => $form, 'location' => mb_substr(
                    (string) $response->headers->get('Location'), 0, 255,
                ), 'created_at' => now()],
            );
        }

        return $response;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Hebra\Core\Quantity\Text;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Nothing that cannot be seen comes in by a form or an address: names look like what they are, and files made of them
 * stay well-formed.
 */
final class VisibleText
{
    /** As they are typed: a password may hold anything. */
    private const FREE = ['password', 'current', 'confirm'];

    public function handle(Request $request, Closure $next): Response
    {
        $given = array_diff_key($request->input(), array_flip(self::FREE));
        array_walk_recursive($given, function (mixed $value, int|string $field): void {
            Text::visible((string) $field, 'field');
            if (is_string($value)) {
                Text::visible($value, (string) $field);
            }
        });

        return $next($request);
    }
}

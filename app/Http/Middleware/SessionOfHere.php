<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session that was begun in another workshop, such as the demo's, opens nothing here, whatever its numbers say. */
final class SessionOfHere
{
    public const KEY = 'workshop';

    public function handle(Request $request, Closure $next): Response
    {
        $guard = Auth::guard();
        $maker = $request->user();
        if (
            $maker instanceof User
            && $request->session()->has($guard->getName())
            && $request->session()->get(self::KEY) !== $maker->workshop->ulid
        ) {
            $guard->logoutCurrentDevice();
            $request->session()->invalidate();

            return redirect('/sign-in');
        }

        return $next($request);
    }
}

<?php

declare(strict_types=1);

use App\Http\Middleware\Answers;
use App\Http\Middleware\Once;
use App\Http\Middleware\SessionOfHere;
use App\Http\Middleware\SessionOfPages;
use App\Http\Middleware\VisibleText;
use App\Http\Middleware\Writes;
use App\Http\Problems;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\AuthenticateSession;
use Illuminate\Session\Middleware\StartSession;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', health: '/up')
    ->withMiddleware(function (Middleware $middleware): void {
        // Hebra answers no other origin, and the package behind this middleware is not installed.
        $middleware->remove(HandleCors::class);
        $middleware->prepend(Answers::class);
        $middleware->web(
            append: [VisibleText::class, Writes::class, SessionOfHere::class, AuthenticateSession::class, Once::class],
            replace: [StartSession::class => SessionOfPages::class],
        );
        $middleware->prependToPriorityList(AuthenticatesRequests::class, Writes::class);
        // A field of a piece that was emptied says so; what is missing is another thing.
        $middleware->convertEmptyStringsToNull([
            fn (Request $request): bool => $request->is('pieces/*/changes', 'pieces/*/tried'),
        ]);
        $middleware->redirectGuestsTo(fn (): string => route('sign-in'));
        $middleware->redirectUsersTo(fn (): string => route('bench'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Problems::register($exceptions);
    })
    ->create();

<?php

declare(strict_types=1);

use App\Http\Middleware\ContentSecurity;
use App\Http\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', health: '/up')
    ->withMiddleware(function (Middleware $middleware): void {
        // Hebra answers no other origin, and the package behind this middleware is not installed.
        $middleware->remove(HandleCors::class);
        $middleware->web(append: [ContentSecurity::class]);
        $middleware->redirectGuestsTo(fn (): string => route('sign-in'));
        $middleware->redirectUsersTo(fn (): string => route('bench'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Problems::register($exceptions);
    })
    ->create();

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * A request that writes is one transaction from before anything is read, so that what decides a write is read by the
 * one who holds the book; and what is refused has written nothing. Routes whose work takes long (a table, a picture, a
 * search) stand outside and open their own at the end.
 */
final class Writes
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        DB::beginTransaction();
        try {
            $response = $next($request);
            $response->getStatusCode() < 400 ? DB::commit() : DB::rollBack();
        } catch (\Throwable $fault) {
            DB::rollBack();

            throw $fault;
        }

        return $response;
    }
}

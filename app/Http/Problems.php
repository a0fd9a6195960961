<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\Refused;
use App\Exceptions\Several;
use Hebra\Core\Problem;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use PDOException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Throwable;

/** What a refusal looks like where no page puts it in its place: one sentence, a 4xx status. */
final class Problems
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([Problem::class]);
        $exceptions->report(function (Throwable $fault): bool {
            Log::error(Faults::told($fault));

            return false;
        });
        $exceptions->render(fn (Problem $problem, Request $request): Response => self::shown($problem, $request));
        $exceptions->render(
            fn (ThrottleRequestsException $wait, Request $request): Response => self::sentence(
                'Too many attempts: wait a minute, then try again.',
                429,
                $request,
            ),
        );
        $exceptions->render(function (PDOException $fault, Request $request): ?Response {
            $trouble = Trouble::of($fault);

            return $trouble === null
                ? null
                : self::sentence($trouble->sentence(), $trouble->status(), $request)->withHeaders($trouble->headers());
        });
        $exceptions->render(function (\ErrorException $fault, Request $request): ?Response {
            return str_contains($fault->getMessage(), 'No space left')
                ? self::sentence(Trouble::Full->sentence(), Trouble::Full->status(), $request)
                : null;
        });
        $exceptions->render(function (HttpException $http, Request $request): ?Response {
            return match ($http->getPrevious() instanceof TokenMismatchException ? 419 : $http->getStatusCode()) {
                403 => self::sentence('This is not open to you.', 403, $request),
                404 => self::sentence(
                    'There is nothing here: it may have been deleted, or it belongs to another workshop.',
                    404,
                    $request,
                ),
                405 => self::sentence('That cannot be done at this address.', 405, $request),
                413 => self::sentence(
                    'That is too large to be read: a photo takes at most 25 MB, a workshop 100 MB, a table or pieces 1 '
                        .'MB. Nothing was changed.',
                    413,
                    $request,
                ),
                419 => self::sentence(
                    'This page was open too long. Load it again, then repeat your change; nothing was changed.',
                    419,
                    $request,
                ),
                default => null,
            };
        });
    }

    public static function status(Problem $problem): int
    {
        return $problem instanceof Refused ? $problem->status : 422;
    }

    private static function shown(Problem $problem, Request $request): Response
    {
        if (! $request->expectsJson()) {
            return self::sentence($problem->getMessage(), self::status($problem), $request);
        }
        $told = ['message' => $problem->getMessage(), 'field' => $problem->field()];

        return response()->json(
            $problem instanceof Several ? [...$told, 'problems' => self::each($problem)] : $told,
            self::status($problem),
        );
    }

    /** @return list<array{field: string, message: string}> */
    private static function each(Several $problem): array
    {
        return array_map(
            fn (Problem $one): array => ['field' => $one->field(), 'message' => $one->getMessage()],
            Several::in($problem),
        );
    }

    private static function sentence(string $text, int $status, Request $request): JsonResponse|PlainResponse
    {
        if ($request->expectsJson()) {
            return response()->json(['message' => $text], $status);
        }
        if ($status >= 500) {
            // Whoever is signed in stands in the database, which is what does not answer.
            return response()->view(
                'trouble',
                ['text' => $text, 'isFragment' => $request->hasHeader('HX-Request')],
                $status,
            );
        }

        return response()->view(
            $request->hasHeader('HX-Request') ? 'fragments.refused' : 'refused',
            ['text' => $text],
            $status,
        );
    }
}

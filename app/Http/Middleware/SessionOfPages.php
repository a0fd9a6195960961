<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * What a page asks for beside itself, a picture or a figure that comes later, reads the session and never writes it:
 * else what one picture had read would be written over what the maker has just been told, or would age it unseen.
 */
final class SessionOfPages extends StartSession
{
    private const BESIDE = [
        '*.svg', '*.jpg', 'lots/*/scale/live', 'pieces/*/cost', 'pieces/*/lay-ready', 'pieces/*/tried',
        'supplies/names',
    ];

    protected function saveSession($request): void
    {
        if (! $this->isBesideAPage($request)) {
            parent::saveSession($request);
        }
    }

    private function isBesideAPage(Request $request): bool
    {
        return $request->isMethodSafe() && $request->is(self::BESIDE);
    }
}

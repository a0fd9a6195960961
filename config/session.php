<?php

declare(strict_types=1);

$mode = env('HEBRA_MODE', 'workshop');

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 14,
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => env('HEBRA_STORAGE') ? env('HEBRA_STORAGE').'/sessions' : storage_path("framework/sessions/{$mode}"),
    'lottery' => [2, 100],
    'cookie' => "hebra_{$mode}",
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];

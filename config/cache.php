<?php

declare(strict_types=1);

$mode = env('HEBRA_MODE', 'workshop');

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => ['driver' => 'file', 'path' => storage_path("framework/cache/{$mode}"), 'lock_path' => storage_path("framework/cache/{$mode}")],
    ],
    'prefix' => 'hebra-',
];

<?php

declare(strict_types=1);

$mode = env('HEBRA_MODE', 'workshop');
$path = env('HEBRA_STORAGE') ? env('HEBRA_STORAGE').'/cache' : storage_path("framework/cache/{$mode}");

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => ['driver' => 'file', 'path' => $path, 'lock_path' => $path],
    ],
    'prefix' => 'hebra-',
];

<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'deprecations' => ['channel' => 'null'],
    'channels' => [
        // A file a day, for two weeks, for its owner alone.
        'daily' => [
            'driver' => 'daily',
            'path' => (env('HEBRA_STORAGE') ? env('HEBRA_STORAGE').'/logs/' : storage_path('logs/'))
                .env('HEBRA_MODE', 'workshop').'.log',
            'level' => 'warning', 'days' => 14, 'permission' => 0600,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];

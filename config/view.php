<?php

declare(strict_types=1);

return [
    'paths' => [resource_path('views')],
    'compiled' => env('VIEW_COMPILED_PATH', storage_path('framework/views')),
    // Views are compiled when the server starts (view:cache); asking the disk again at each request finds nothing new.
    'check_cache_timestamps' => env('APP_ENV', 'production') !== 'production',
];

<?php

declare(strict_types=1);

// The ordinary router, with the peak memory of each request in a header: set when the response is sent.

header_register_callback(function (): void {
    header('X-Peak-Memory: '.memory_get_peak_usage(true));
});

require __DIR__.'/../server.php';

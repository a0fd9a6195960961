<?php

declare(strict_types=1);

// Router of PHP's own web server: files of public/ as they are, kept by the browser; everything else goes to the application.

$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));

if ($path !== '/' && is_file(__DIR__.'/public'.$path) && ! str_contains($path, '..')) {
    return false;
}

require __DIR__.'/public/index.php';

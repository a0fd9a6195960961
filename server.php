<?php

declare(strict_types=1);

// Router of PHP's own web server: files of public/ as they are, kept by the browser; everything else goes to the
// application.

$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$types = [
    'css' => 'text/css', 'js' => 'text/javascript', 'svg' => 'image/svg+xml', 'png' => 'image/png',
    'ico' => 'image/x-icon', 'woff2' => 'font/woff2', 'json' => 'application/json',
    'webmanifest' => 'application/manifest+json', 'txt' => 'text/plain', 'html' => 'text/html',
];
$type = $types[pathinfo($path, PATHINFO_EXTENSION)] ?? null;

if ($type !== null && ! str_contains($path, '..') && is_file(__DIR__.'/public'.$path)) {
    header_remove('X-Powered-By');
    header('Content-Type: '.$type.(str_starts_with($type, 'text/') ? '; charset=utf-8' : ''));
    header('Content-Length: '.filesize(__DIR__.'/public'.$path));
    header('X-Content-Type-Options: nosniff');
    // What is built carries its own sum in its name.
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    readfile(__DIR__.'/public'.$path);

    return true;
}

require __DIR__.'/public/index.php';

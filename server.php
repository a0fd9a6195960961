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
    $body = (string) file_get_contents(__DIR__.'/public'.$path);
    // Text is a quarter as long so; fonts and pictures are short already.
    $isShort = in_array($type, ['font/woff2', 'image/png', 'image/x-icon'], true) || strlen($body) < 1000;
    if (
        ! $isShort
        && function_exists('gzencode')
        && str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')
    ) {
        $body = (string) gzencode($body);
        header('Content-Encoding: gzip');
    }
    header('Vary: Accept-Encoding');
    header('Content-Length: '.strlen($body));
    header('X-Content-Type-Options: nosniff');
    // What is built carries its own sum in its name.
    header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
    echo $body;

    return true;
}

require __DIR__.'/public/index.php';

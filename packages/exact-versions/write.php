<?php

declare(strict_types=1);

// Writes the versions of all PHP packages that are installed into composer.json beside it, with `none` none of them:
// see README.md.

$file = __DIR__.'/composer.json';
$exact = ($argv[1] ?? '') === 'none' ? [] : require __DIR__.'/installed.php';
$written = json_encode(
    array_replace(
        json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR),
        ['require' => ['php' => '^8.2', ...$exact]],
    ),
    JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
);
file_put_contents($file, "{$written}\n");

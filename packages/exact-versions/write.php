<?php

declare(strict_types=1);

// Writes the versions of all PHP packages that are installed into composer.json beside it, with `none` none of them:
// see README.md.

$file = __DIR__.'/composer.json';
$installed = dirname(__DIR__, 2).'/vendor/composer/installed.json';
$read = fn (string $of): array => json_decode((string) file_get_contents($of), true, flags: JSON_THROW_ON_ERROR);
$exact = ['php' => '^8.2'];
foreach (($argv[1] ?? '') === 'none' ? [] : $read($installed)['packages'] as $package) {
    if (! str_starts_with($package['name'], 'hebra/')) {
        $exact[$package['name']] = ltrim($package['version'], 'v');
    }
}
$written = json_encode(
    array_replace($read($file), ['require' => $exact]),
    JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
);
file_put_contents($file, "{$written}\n");

<?php

declare(strict_types=1);

// The version of every PHP package that is installed, by its name; those of this repository apart.

$file = dirname(__DIR__, 2).'/vendor/composer/installed.json';
$installed = [];
foreach (json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR)['packages'] as $package) {
    if (! str_starts_with($package['name'], 'hebra/')) {
        $installed[$package['name']] = ltrim($package['version'], 'v');
    }
}

return $installed;

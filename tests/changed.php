<?php

declare(strict_types=1);

// The tests that a change touches, one a line: php tests/changed.php [since which commit, else what is not committed].

use Tests\Changed;

require __DIR__.'/../vendor/autoload.php';

chdir(dirname(__DIR__));
exec('git diff --name-only '.escapeshellarg($argv[1] ?? 'HEAD'), $changed, $failed);
$failed === 0 || exit(2);
exec('git ls-files --others --exclude-standard', $new);
echo implode("\n", (new Changed(dirname(__DIR__).'/'))->tests([...$changed, ...$new])), "\n";

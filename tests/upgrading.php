<?php

declare(strict_types=1);

// A process of its own for KeptTest: upgrades the database, and kills itself after the nth statement that changes it.

use App\Support\Upgrade;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$left = (int) $argv[1];
DB::listen(function (Illuminate\Database\Events\QueryExecuted $query) use (&$left): void {
    if (preg_match('/^\s*(insert|update|delete|create|alter|drop)\b/i', $query->sql) === 1 && --$left === 0) {
        posix_kill(getmypid(), SIGKILL);
    }
});
app(Upgrade::class)->run(fn (string $line): string => $line);

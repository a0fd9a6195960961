<?php

declare(strict_types=1);

// Each mode has a guard of its own, so that no cookie of one is read by the other.
$mode = env('HEBRA_MODE', 'workshop');

return [
    'defaults' => ['guard' => $mode, 'passwords' => 'users'],
    'guards' => [$mode => ['driver' => 'session', 'provider' => 'users']],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
    'passwords' => [],
    'password_timeout' => 10800,
];

<?php

declare(strict_types=1);

return [
    // OWASP's password storage cheat sheet: argon2id with 19 MiB, two passes. What was hashed otherwise is still read,
    // and written anew at the next sign-in.
    'driver' => 'argon2id',
    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19_456), 'threads' => 1, 'time' => (int) env('ARGON_TIME', 2),
        'verify' => false,
    ],
    'rehash_on_login' => true,
];

<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('app/workshop.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // The framework leaves these unset; SQLite's own defaults wait for nobody and lock readers out.
            'busy_timeout' => 5000,
            'journal_mode' => 'WAL',
            'synchronous' => 'NORMAL',
            'transaction_mode' => 'IMMEDIATE',
            // A server keeps its connection: closing the last one makes SQLite write the whole log back, at every request.
            // PDO rolls back whatever a request leaves open.
            'options' => env('DB_PERSISTENT', false) ? [PDO::ATTR_PERSISTENT => true] : [],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

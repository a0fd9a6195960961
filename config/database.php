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
            'busy_timeout' => (int) env('DB_BUSY_TIMEOUT', 5000),
            'journal_mode' => 'WAL',
            // The log is written back every so many pages, and given back to the disk; the others stand in for a full
            // disk and a closed one.
            'pragmas' => ['wal_autocheckpoint' => 500, 'journal_size_limit' => 4_194_304] + array_filter(
                ['max_page_count' => (int) env('DB_MOST_PAGES', 0), 'query_only' => (int) env('DB_READ_ONLY', 0)]
            ),
            // A commit is on the disk before it is answered: the book is a ledger.
            'synchronous' => 'FULL',
            'transaction_mode' => 'IMMEDIATE',
            // A server keeps its connection: closing the last one makes SQLite write the whole log back, at every
            // request. PDO rolls back whatever a request leaves open.
            'options' => env('DB_PERSISTENT', false) ? [PDO::ATTR_PERSISTENT => true] : [],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

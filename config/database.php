<?php

return [
    'default' => env('DB_CONNECTION', 'sqlite'),

    'connections' => [
        // One file per collection: the demo, the keeper's own and the tests never share one.
        'sqlite' => [
            'driver' => 'sqlite',
            'url' => env('DB_URL'),
            'database' => env('DB_DATABASE', database_path('keeper.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 15000, // milliseconds that a writer waits for its turn
            'journal_mode' => 'wal',
            'synchronous' => 'normal',
            'transaction_mode' => 'IMMEDIATE', // App\Database\ImmediateSqlite does it before PHP 8.4
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

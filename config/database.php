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
            'busy_timeout' => 5000,
            'journal_mode' => 'wal',
            'synchronous' => 'normal',
            'transaction_mode' => 'IMMEDIATE',
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

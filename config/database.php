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
        'pgsql' => [
            'driver' => 'pgsql',
            'url' => env('DB_URL'),
            'host' => env('DB_HOST', '127.0.0.1'), // a folder, where the server listens at a socket
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'destino'),
            'username' => env('DB_USERNAME', 'destino'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8', 'prefix' => '', 'prefix_indexes' => true, 'search_path' => 'public', 'sslmode' => env('DB_SSLMODE', 'prefer'),
        ],
    ],

    // Where a collection lives on a server (bin/destino server): sessions, kept answers, locks and the queue are in Redis there.
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => env('REDIS_PREFIX', 'destino-')],
        'default' => [
            'host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', '6379'), 'password' => env('REDIS_PASSWORD'),
            'database' => env('REDIS_DB', '0'),
        ],
        'cache' => [
            'host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', '6379'), 'password' => env('REDIS_PASSWORD'),
            'database' => env('REDIS_CACHE_DB', '1'),
        ],
    ],

    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

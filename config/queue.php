<?php

return [
    'connections' => [
        'database' => [
            'driver' => 'database', 'connection' => null, 'table' => 'jobs', 'queue' => 'default',
            // Longer than the longest job may take (App\Jobs): a second worker that took one over would spoil both.
            'retry_after' => 1200, 'after_commit' => false,
        ],
        'redis' => [
            'driver' => 'redis', 'connection' => 'default', 'queue' => 'default', 'retry_after' => 1200, 'block_for' => 5,
            'after_commit' => false,
        ],
    ],
];

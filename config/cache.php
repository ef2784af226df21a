<?php

declare(strict_types=1);

return [
    // In memory on a server of its own where there is one (SEAM_REDIS), with the database in its place while it is away.
    'default' => env('CACHE_STORE', env('SEAM_REDIS') ? 'memory' : 'database'),
    // What locks are kept in when the store above is away.
    'last_resort' => 'database',
    'stores' => [
        'database' => ['driver' => 'database', 'connection' => null, 'table' => 'cache', 'lock_connection' => null, 'lock_table' => 'cache_locks'],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'lock_connection' => 'default'],
        'memory' => ['driver' => 'failover', 'stores' => ['redis', 'database']],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'open-seam-',
];

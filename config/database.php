<?php

declare(strict_types=1);

// One trip to the database a query instead of three; one statement in each.
$options = [PDO::ATTR_EMULATE_PREPARES => true, PDO::MYSQL_ATTR_MULTI_STATEMENTS => false, PDO::ATTR_TIMEOUT => 5];
// Where several nodes keep the data, reading may be done at any of them; each waits until it has what was confirmed anywhere before.
$at = fn (string $where, string $port): array => explode(':', "$where:$port");
[$readHost, $readPort] = $at((string) env('SEAM_DB_READ', ''), '3306');
[$redisHost, $redisPort] = $at((string) env('SEAM_REDIS', '127.0.0.1'), '6379');
$reading = $readHost !== '' ? [
    'read' => ['host' => [$readHost], 'port' => $readPort, 'options' => $options + [PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION wsrep_sync_wait = 1']],
    'write' => ['host' => [env('DB_HOST', '127.0.0.1')]],
    'sticky' => true,
] : [];

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => $reading + [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '33877'),
            'database' => env('DB_DATABASE', 'open_seam'),
            'username' => env('DB_USERNAME', 'open_seam'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'prefix' => '',
            'strict' => true,
            'modes' => ['ONLY_FULL_GROUP_BY', 'STRICT_TRANS_TABLES', 'NO_ZERO_IN_DATE', 'NO_ZERO_DATE', 'ERROR_FOR_DIVISION_BY_ZERO', 'NO_ENGINE_SUBSTITUTION'],
            'engine' => 'InnoDB',
            'timezone' => '+00:00',
            'options' => $options,
        ],
    ],
    'redis' => [
        'client' => 'predis',
        'options' => ['prefix' => 'open-seam:'],
        'default' => ['host' => $redisHost, 'port' => $redisPort, 'password' => env('SEAM_REDIS_PASSWORD'), 'database' => 0, 'timeout' => 0.5, 'read_write_timeout' => 1.0],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];

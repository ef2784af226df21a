<?php

declare(strict_types=1);

// What an operator can set in var/.env; docs/run says more.
$var = rtrim((string) (getenv('SEAM_VAR') ?: dirname(__DIR__).'/var'), '/');

return [
    'var' => $var,
    // What this server is called in logs and numbers, where there are several.
    'node' => env('SEAM_NODE', 'one'),
    // Whoever asks for /metrics says this word; none: nobody is answered.
    'metrics_token' => (string) env('SEAM_METRICS_TOKEN', ''),
    // Every request is written down, by route, status and time; otherwise the slow ones are.
    'log_requests' => (bool) env('SEAM_LOG_REQUESTS', false),
    // Who may open a studio after the first: nobody (closed), whoever holds a link that the operator made
    // (invitation), or anybody (open).
    'registration' => env('SEAM_REGISTRATION', 'invitation'),
    // Names this is reached by, besides this machine's own and that of SEAM_URL; with commas between.
    'hosts' => array_values(array_filter(explode(',', (string) env('SEAM_HOSTS', '')))),
    // Addresses of proxies whose word about the visitor counts; with commas between.
    'proxies' => array_values(array_filter(explode(',', (string) env('SEAM_TRUSTED_PROXIES', '')))),
    // Where the pictures of photos lie: in the database, on a disk (a folder of this machine), or in a store that speaks
    // S3. Several web nodes share no folder by themselves: there they stay in the database until one is set.
    'photos' => env('SEAM_PHOTOS') ?: (env('SEAM_DATABASE') === 'elsewhere' ? 'database' : 'disk'),
    'backup' => [
        'folder' => env('SEAM_BACKUP_FOLDER', "$var/backups"),
        // How many of the newest of each day, week and month stay.
        'days' => (int) env('SEAM_BACKUP_DAYS', 7),
        'weeks' => (int) env('SEAM_BACKUP_WEEKS', 4),
        'months' => (int) env('SEAM_BACKUP_MONTHS', 12),
        // A warning stands on the screen when the last good one is older.
        'warn_days' => (int) env('SEAM_BACKUP_WARN_DAYS', 2),
    ],
];

<?php

declare(strict_types=1);

return [
    'driver' => 'quiet-database',
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => null,
    'table' => 'sessions',
    // Never by chance in the middle of a request: the daily housekeeping sweeps old ones out.
    'lottery' => [0, 100],
    'cookie' => 'open_seam_session',
    'path' => '/',
    'domain' => null,
    // Null: as the request came, secure over HTTPS.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];

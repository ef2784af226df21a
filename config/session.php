<?php

declare(strict_types=1);

return [
    'driver' => 'database',
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => null,
    'table' => 'sessions',
    'lottery' => [2, 100],
    'cookie' => 'open_seam_session',
    'path' => '/',
    'domain' => null,
    // Set by the operator where the application is served over HTTPS.
    'secure' => (bool) env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];

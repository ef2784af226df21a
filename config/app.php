<?php

declare(strict_types=1);

return [
    'name' => env('APP_NAME', 'Open Seam'),
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8377'),
    // The address above is vouched for by this machine's own small authority.
    'own_authority' => (bool) env('SEAM_OWN_AUTHORITY', false),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    // Fixes the clock, for tests and pictures: an ISO time.
    'now' => env('SEAM_NOW'),
];

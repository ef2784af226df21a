<?php

declare(strict_types=1);

return [
    'default' => 'local',
    'disks' => [
        // "serve" stays off: private files are handed out by the application only.
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true],
        // Photos of samples, where SEAM_PHOTOS says so; closed to everybody but the application's own account.
        'disk' => [
            'driver' => 'local', 'root' => env('SEAM_PHOTO_FOLDER') ?: storage_path('app/photos'), 'serve' => false, 'throw' => true,
            'visibility' => 'private', 'directory_visibility' => 'private',
        ],
        // Any store that speaks S3.
        's3' => [
            'driver' => 's3', 'throw' => true, 'bucket' => env('SEAM_PHOTO_BUCKET'), 'root' => (string) env('SEAM_PHOTO_PREFIX', ''), 'region' => env('SEAM_PHOTO_REGION', 'us-east-1'),
            'key' => env('SEAM_PHOTO_KEY'), 'secret' => env('SEAM_PHOTO_SECRET'), 'endpoint' => env('SEAM_PHOTO_ENDPOINT'), 'use_path_style_endpoint' => (bool) env('SEAM_PHOTO_PATH_STYLE', true),
            // Not every store knows the newer digests; and a request waits ten seconds at the most.
            'request_checksum_calculation' => 'when_required', 'response_checksum_validation' => 'when_required', 'retries' => 1, 'http' => ['connect_timeout' => 2, 'timeout' => 4],
        ],
    ],
];

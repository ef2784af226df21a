<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        // A line of JSON each, with the id of its request; of a person there is nothing in it.
        'daily' => [
            'driver' => 'daily', 'days' => 14, 'path' => storage_path('logs/application.log'), 'level' => env('SEAM_LOG_REQUESTS') ? 'info' : 'warning', 'permission' => 0600, 'replace_placeholders' => true,
            'formatter' => Monolog\Formatter\JsonFormatter::class, 'formatter_with' => ['includeStacktraces' => true],
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];

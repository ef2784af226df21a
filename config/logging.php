<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        'daily' => ['driver' => 'daily', 'days' => 14, 'path' => storage_path('logs/application.log'), 'level' => 'warning', 'permission' => 0600, 'replace_placeholders' => true],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];

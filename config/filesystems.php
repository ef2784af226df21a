<?php

declare(strict_types=1);

return [
    'default' => 'local',
    'disks' => [
        // "serve" stays off: private files are handed out by the application only.
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true],
    ],
];

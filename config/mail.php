<?php

declare(strict_types=1);

return [
    // With an SMTP server mail goes out; without one it lies on the machine, for whoever runs it: ./seam mail
    'default' => env('MAIL_MAILER', env('MAIL_HOST') === null ? 'mailbox' : 'smtp'),
    'mailers' => [
        'mailbox' => ['transport' => 'mailbox', 'folder' => rtrim((string) (getenv('SEAM_VAR') ?: dirname(__DIR__).'/var'), '/').'/mail'],
        'smtp' => [
            'transport' => 'smtp', 'scheme' => env('MAIL_SCHEME'), 'host' => env('MAIL_HOST'), 'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'), 'password' => env('MAIL_PASSWORD'), 'timeout' => 8,
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM', 'open-seam@localhost.localdomain'), 'name' => 'Open Seam'],
];

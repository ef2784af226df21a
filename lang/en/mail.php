<?php

declare(strict_types=1);

return [
    'greeting' => 'Hello :name,',
    'reset' => [
        'subject' => 'A new password for Open Seam',
        'text' => 'somebody asked for a new password for this account. Choose it here within :minutes minutes:',
        'else' => 'If it was not you, there is nothing to do: the old one stays.',
    ],
    'invitation' => [
        'subject' => 'You are invited into :studio',
        'text' => ':by invites you into the studio “:studio” as :role. Open your account here:',
        'until' => 'The link works once, until :day.',
    ],
];

<?php

declare(strict_types=1);

return [
    'reset' => 'The new password holds.',
    'sent' => 'If there is such an account, a link is on its way to it.',
    'throttled' => 'A link was sent a moment ago. Wait a minute.',
    'token' => 'This link does not work any more. Ask for a new one.',
    'user' => 'This link does not work any more. Ask for a new one.',
    'common' => 'This password is one of the first that are tried. Choose another, three words for example.',
];

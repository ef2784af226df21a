<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** A skill level as the thread line draws it. */
enum Level: string
{
    case NotTried = 'not-tried';
    case Begun = 'begun';
    case Coming = 'coming';
    case Sure = 'sure';
    case RefreshDue = 'refresh-due';
}

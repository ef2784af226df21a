<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody does in a studio. */
enum Role: string
{
    /** All classes, the people and the data. */
    case Owner = 'owner';
    /** Own and shared classes. */
    case Teacher = 'teacher';
    /** Records samples in the class of the day, and sees no notes. */
    case Helper = 'helper';

    public function teaches(): bool
    {
        return $this !== self::Helper;
    }
}

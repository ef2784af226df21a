<?php

declare(strict_types=1);

namespace App\Support;

/** What the code on a student's slip says: who it is, by a name that tells nothing outside the studio. Only capitals, so that its squares are large. */
final class SlipCode
{
    private const HEAD = 'SLIP:';

    public static function of(string $student): string
    {
        return self::HEAD.strtoupper($student);
    }
}

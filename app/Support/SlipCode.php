<?php

declare(strict_types=1);

namespace App\Support;

/** What the code on a student's slip says: who it is, by a name that tells nothing outside the studio, and of which lesson where it is for one. Only capitals, so that its squares are large. */
final class SlipCode
{
    private const HEAD = 'SLIP:';

    public static function of(string $student, ?string $lesson = null): string
    {
        return self::HEAD.strtoupper($student.($lesson === null ? '' : ":$lesson"));
    }
}

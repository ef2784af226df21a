<?php

declare(strict_types=1);

namespace App\Records;

/** A next lesson that the teacher chose instead of the proposed one. */
final readonly class Choice
{
    /** @param  string|null  $given  id of what the student had been given, where that was seen; "" for nothing yet */
    public function __construct(public string $lesson, public ?string $drill, public string $because, public ?string $given = null) {}
}

<?php

declare(strict_types=1);

namespace App\Support;

/** A next lesson that the teacher chose instead of the proposed one. */
final readonly class Choice
{
    public function __construct(public string $lesson, public ?string $drill, public string $because) {}
}

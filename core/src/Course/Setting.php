<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** Something to set for a lesson, and what other schools of teaching set instead. */
final readonly class Setting
{
    /** @param  list<array{school: string, value: string}>  $schools  where they differ; the value in use may be one of theirs */
    public function __construct(public string $name, public string $value, public array $schools = []) {}

    /** In one line: "Length: 2.5 mm". */
    public function line(): string
    {
        return "{$this->name}: {$this->value}";
    }
}

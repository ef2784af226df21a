<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** Something to set for a lesson, and what other schools of teaching set instead. */
final readonly class Setting
{
    /** @param  list<SettingSchool>  $schools  where they differ; the value in use may be one of theirs */
    public function __construct(public string $name, public string $value, public array $schools = []) {}

    /** In one line: "Length: 2.5 mm". */
    public function line(): string
    {
        return "{$this->name}: {$this->value}";
    }

    /** The school whose value it has; null when it is nobody's. */
    public function inUse(): ?SettingSchool
    {
        foreach ($this->schools as $school) {
            if ($school->value === $this->value) {
                return $school;
            }
        }

        return null;
    }
}

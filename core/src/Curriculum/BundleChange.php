<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

/** What bringing in a bundle would do to one lesson, skill, fault or course. */
final readonly class BundleChange
{
    /** @param  list<array{place: string, before: string, after: string}>  $places  what differs; empty for something new */
    public function __construct(
        /** "lesson", "skill", "fault" or "course" */
        public string $part,
        public string $id,
        public string $title,
        public bool $isNew,
        public array $places,
    ) {}
}

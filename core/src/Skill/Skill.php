<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** One thing a student can show, and what it stands on. */
final readonly class Skill
{
    /** @param  list<string>  $needs ids of the skills it stands on */
    public function __construct(
        public string $id,
        public string $title,
        public string $strand = '',
        public string $shows = '',
        public array $needs = [],
        /** Never skipped and always shown first. */
        public bool $safety = false,
        /** How it is learned: a key of resources/tracing.json. */
        public string $kind = TracingTable::USUAL,
    ) {}
}

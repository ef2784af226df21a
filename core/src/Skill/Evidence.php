<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/** What one sample shows about skills. */
final readonly class Evidence
{
    /** @param  array<string, list<float>>  $weights by skill: 1 right, 0 wrong, between is soft */
    public function __construct(
        public string $sample,
        public DateTimeImmutable $at,
        public array $weights,
    ) {}
}

<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/** What one sample shows about skills. */
final readonly class Evidence
{
    /**
     * @param  array<string, list<float>>  $weights  by skill: 1 right, 0 wrong, between is soft
     * @param  list<string>  $uses  skills that were used on the way: they are not read, and do not fade meanwhile
     */
    public function __construct(
        public string $sample,
        public DateTimeImmutable $at,
        public array $weights,
        public array $uses = [],
    ) {}
}

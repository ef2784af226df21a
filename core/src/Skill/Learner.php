<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/** Somebody who learns to sew, made up, whose skills can be looked into. */
interface Learner
{
    /** Somebody shows how it is done. */
    public function watch(string ...$skills): void;

    /**
     * Sews a sample.
     *
     * @param  list<string>  $skills  it shows and teaches
     * @param  int  $showings  required checks of each
     * @param  list<string>  $uses  skills used on the way
     * @return array<string, list<float>> by skill: 1 shown right, 0 wrong, as the teacher read it
     */
    public function sew(array $skills, DateTimeImmutable $at, int $showings = 1, array $uses = []): array;

    public function knows(string $skill): bool;
}

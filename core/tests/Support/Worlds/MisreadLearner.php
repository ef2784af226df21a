<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support\Worlds;

use DateTimeImmutable;
use OpenSeam\Core\Skill\Learner;

/** Any learner, looked at by a teacher who reads some checks the wrong way round. */
final readonly class MisreadLearner implements Learner
{
    public function __construct(private Learner $learner, private float $share, private Dice $dice) {}

    public function knows(string $skill): bool
    {
        return $this->learner->knows($skill);
    }

    public function watch(string ...$skills): void
    {
        $this->learner->watch(...$skills);
    }

    public function sew(array $skills, DateTimeImmutable $at, int $showings = 1, array $uses = []): array
    {
        return array_map(fn (array $checks): array => array_map(fn (float $w): float => $this->dice->comes($this->share) ? 1 - $w : $w, $checks), $this->learner->sew($skills, $at, $showings, $uses));
    }
}

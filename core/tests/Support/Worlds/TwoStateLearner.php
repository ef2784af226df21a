<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support\Worlds;

use DateTimeImmutable;
use OpenSeam\Core\Skill\Learner;

/** Knows a skill or not; learns it at a blow, from being shown or from sewing; slips and guesses by the sample. */
final class TwoStateLearner implements Learner
{
    /** @var array<string, bool> */
    private array $knows = [];

    /**
     * @param  array<string, array{start: float, demo: float, learn: float, slip: float, guess: float}>  $numbers  by skill
     * @param  array<string, list<string>>  $needs  of each skill: without them it is learned half as quickly
     */
    public function __construct(private readonly array $numbers, private readonly array $needs, private readonly Dice $dice)
    {
        foreach ($numbers as $skill => $n) {
            $this->knows[$skill] = $dice->comes($n['start']);
        }
    }

    public function knows(string $skill): bool
    {
        return $this->knows[$skill];
    }

    public function watch(string ...$skills): void
    {
        foreach ($skills as $skill) {
            $this->learn($skill, $this->numbers[$skill]['demo']);
        }
    }

    public function sew(array $skills, DateTimeImmutable $at, int $showings = 1, array $uses = []): array
    {
        $shown = [];
        foreach ($skills as $skill) {
            $n = $this->numbers[$skill];
            $shown[$skill] = $this->dice->checks($this->dice->comes($this->knows[$skill] ? 1 - $n['slip'] : $n['guess']), $showings);
        }
        foreach ($skills as $skill) {
            $this->learn($skill, $this->numbers[$skill]['learn']);
        }

        return $shown;
    }

    private function learn(string $skill, float $chance): void
    {
        $all = array_filter($this->needs[$skill], fn (string $need): bool => ! $this->knows[$need]) === [];
        $this->knows[$skill] = $this->knows[$skill] || $this->dice->comes($all ? $chance : $chance / 2);
    }
}

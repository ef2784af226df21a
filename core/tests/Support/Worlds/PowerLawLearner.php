<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support\Worlds;

use DateTimeImmutable;
use OpenSeam\Core\Skill\Learner;

/**
 * Never simply knows: the chance of a poor sample falls with practice, first · (1 + n)^−rate down to a floor
 * (the power law of practice; Newell & Rosenbloom 1981, from memory). A demonstration counts as one trial,
 * what stands on something that is not there yet gains half a trial, and trials fade while they are not used.
 */
final class PowerLawLearner implements Learner
{
    /** Said to know it: a sample is good at least seven times in ten. */
    public const KNOWS_FROM = 0.3;

    /** @var array<string, float> */
    private array $trials = [];

    /** @var array<string, DateTimeImmutable> */
    private array $last = [];

    /**
     * @param  array<string, array{first: float, rate: float, floor: float}>  $numbers  by skill
     * @param  array<string, list<string>>  $needs
     * @param  float|null  $fadingWeeks  null: nothing fades
     */
    public function __construct(private readonly array $numbers, private readonly array $needs, private readonly Dice $dice, private readonly ?float $fadingWeeks = null) {}

    public function knows(string $skill): bool
    {
        return $this->error($skill) <= self::KNOWS_FROM;
    }

    public function watch(string ...$skills): void
    {
        foreach ($skills as $skill) {
            $this->practise($skill);
        }
    }

    public function sew(array $skills, DateTimeImmutable $at, int $showings = 1, array $uses = []): array
    {
        // What is used on the way keeps.
        foreach (array_intersect($uses, array_keys($this->last)) as $skill) {
            $this->last[$skill] = $at;
        }
        $shown = [];
        foreach ($skills as $skill) {
            $this->fade($skill, $at);
            $shown[$skill] = $this->dice->checks(! $this->dice->comes($this->error($skill)), $showings);
        }
        foreach ($skills as $skill) {
            $this->practise($skill);
        }

        return $shown;
    }

    private function error(string $skill): float
    {
        $n = $this->numbers[$skill];

        return max($n['floor'], $n['first'] * (1 + ($this->trials[$skill] ?? 0.0)) ** -$n['rate']);
    }

    private function practise(string $skill): void
    {
        $all = array_filter($this->needs[$skill], fn (string $need): bool => ! $this->knows($need)) === [];
        $this->trials[$skill] = ($this->trials[$skill] ?? 0.0) + ($all ? 1.0 : 0.5);
    }

    private function fade(string $skill, DateTimeImmutable $at): void
    {
        if ($this->fadingWeeks !== null && isset($this->last[$skill], $this->trials[$skill])) {
            $this->trials[$skill] *= exp(-max(0, $at->getTimestamp() - $this->last[$skill]->getTimestamp()) / 604_800 / $this->fadingWeeks);
        }
        $this->last[$skill] = $at;
    }
}

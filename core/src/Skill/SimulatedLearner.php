<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/**
 * A learner whose skills are known, as a stand-in for a real one: some come with
 * it, each sample may teach, a known skill is sometimes shown wrong and an
 * unknown one right, and what is not sewn is forgotten. A skill whose needs are
 * not there yet is learned more slowly. Made-up; the same seed, the same learner.
 */
final class SimulatedLearner implements Learner
{
    /** What of the chance to learn is left where a skill stands on something unknown; common practice, no source. */
    public const WITHOUT_NEEDS = 0.5;

    private const PRIME = 2_147_483_647;

    /** @var array<string, bool> */
    private array $knows = [];

    /** @var array<string, DateTimeImmutable> */
    private array $last = [];

    private int $state;

    /**
     * @param  float  $quick  how quickly this one learns: 1 as the table says, 0.5 half as quickly
     * @param  float|null  $fadingWeeks  time constant of forgetting; null: nothing is forgotten
     */
    public function __construct(
        private readonly SkillGraph $skills,
        private readonly TracingTable $table,
        int $seed,
        private readonly float $quick = 1.0,
        private readonly ?float $fadingWeeks = StandingLedger::FADING_WEEKS,
        private readonly float $withoutNeeds = self::WITHOUT_NEEDS,
    ) {
        $this->state = 1 + abs($seed) % (self::PRIME - 1);
        // Seeds that lie close together begin far apart.
        for ($i = 0; $i < 8; $i++) {
            $this->draw();
        }
        foreach (array_map(strval(...), array_keys($skills->all())) as $skill) {
            $this->knows[$skill] = $this->chance($table->for($skill)->start);
        }
    }

    public function knows(string $skill): bool
    {
        return $this->knows[$skill];
    }

    /** Somebody shows how it is done. */
    public function watch(string ...$skills): void
    {
        foreach ($skills as $skill) {
            $this->learn($skill, $this->table->for($skill)->demo);
        }
    }

    /**
     * Sews a sample.
     *
     * @param  list<string>  $skills  it shows and teaches
     * @param  int  $showings  checks of each
     * @param  list<string>  $uses  skills used on the way: they are not forgotten meanwhile
     * @return array<string, list<float>> by skill: 1 shown right, 0 wrong
     */
    public function sew(array $skills, DateTimeImmutable $at, int $showings = 1, array $uses = []): array
    {
        foreach ($uses as $skill) {
            isset($this->last[$skill]) && $this->last[$skill] = $at;
        }
        $shown = [];
        foreach ($skills as $skill) {
            $this->forget($skill, $at);
            $p = $this->table->for($skill);
            for ($i = 0; $i < $showings; $i++) {
                $shown[$skill][] = $this->chance($this->knows[$skill] ? 1 - $p->slip : $p->guess) ? 1.0 : 0.0;
            }
            $this->last[$skill] = $at;
        }
        foreach ($skills as $skill) {
            $this->learn($skill, $this->table->for($skill)->transit);
        }

        return $shown;
    }

    private function learn(string $skill, float $teaches): void
    {
        $missing = array_filter($this->skills->get($skill)->needs, fn (string $need): bool => ! $this->knows[$need]) !== [];
        $chance = min(1.0, $teaches * $this->quick * ($missing ? $this->withoutNeeds : 1.0));
        $this->knows[$skill] = $this->knows[$skill] || $this->chance($chance);
    }

    private function forget(string $skill, DateTimeImmutable $now): void
    {
        $at = $this->last[$skill] ?? null;
        if ($at === null || $this->fadingWeeks === null || ! $this->knows[$skill]) {
            return;
        }
        $weeks = max(0, $now->getTimestamp() - $at->getTimestamp()) / 604_800;
        $this->knows[$skill] = ! $this->chance((1 - exp(-$weeks / $this->fadingWeeks)) * (1 - $this->table->for($skill)->start));
    }

    /** A draw of this learner's own: a congruential generator (Park & Miller 1988), so that learners do not disturb each other. */
    public function draw(): float
    {
        $this->state = $this->state * 48_271 % self::PRIME;

        return $this->state / self::PRIME;
    }

    private function chance(float $p): bool
    {
        return $this->draw() < $p;
    }
}

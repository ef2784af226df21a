<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;
use OpenSeam\Core\Data;
use OpenSeam\Core\Near;
use OpenSeam\Core\Tables;

/**
 * A forecast over several ways of learning: nobody knows beforehand how a
 * student learns, so each way is run forward and weighed by how well it would
 * have foretold what the student has shown so far (Bayesian model averaging;
 * Hoeting, Madigan, Raftery & Volinsky 1999, from memory).
 */
final class LearningWays
{
    /** What the rest of the class has shown counts for so much of one's own: they have the same teacher, and differ. Chosen by simulated learners. */
    private const CLASS_SHARE = 0.2;

    /** @var list<StandingLedger> */
    private array $books = [];

    /** @var list<LessonsToCome> */
    private array $toCome = [];

    /** @param  non-empty-list<TracingTable>  $tables */
    private function __construct(private readonly array $tables, SkillGraph $skills)
    {
        foreach ($tables as $table) {
            $this->books[] = new StandingLedger($table);
            $this->toCome[] = new LessonsToCome($table, $skills);
        }
    }

    /** @param  TracingTable  $usual  the numbers that standings go by: a way among the others */
    public static function of(SkillGraph $skills, TracingTable $usual): self
    {
        return new self([$usual, ...array_map(fn (array $kinds): TracingTable => TracingTable::of($skills, $kinds), self::read())], $skills);
    }

    /** @return list<array<string, TracingParameters>> numbers by kind, of each way in resources/tracing.json */
    public static function read(): array
    {
        return array_map(fn (Data $way): array => array_map(
            fn (string $kind): TracingParameters => TracingParameters::read($way->part('kinds')->part($kind)), array_combine(array_keys(TracingTable::kinds()), array_keys(TracingTable::kinds())),
        ), Tables::read('tracing')->parts('ways'));
    }

    /**
     * @param  list<Evidence>  $evidence  what the student has shown, oldest first
     * @param  list<float>  $class  what the class has shown, see ofClass
     * @param  list<list<string>>  $teaches  skills of each lesson to come, in order
     * @param  list<bool>  $shown  whether each has been demonstrated before
     * @param  list<int>  $samples  that can be sewn by the end of each session to come
     */
    public function forecast(array $evidence, DateTimeImmutable $now, array $teaches, array $shown, array $samples, array $class = []): FinishForecast
    {
        $parts = [];
        foreach ($this->weights($evidence, $class) as $i => $weight) {
            $known = array_map(fn (Standing $s): float => $s->faded, $this->books[$i]->standings($evidence, $now));
            $parts[] = [$weight, FinishForecast::of($this->toCome[$i]->of($teaches, $known, $shown), $samples)];
        }

        return FinishForecast::mixed($parts);
    }

    /**
     * How likely what a class has shown is under each way, as logarithms.
     *
     * @param  list<list<Evidence>>  $students  what each has shown
     * @return list<float>
     */
    public function ofClass(array $students): array
    {
        $logs = array_map($this->likelihoods(...), $students);

        return array_map(fn (int $i): float => array_sum(array_column($logs, $i)), array_keys($this->tables));
    }

    /**
     * How far each way is the student's.
     *
     * @param  list<Evidence>  $evidence
     * @param  list<float>  $class  of everybody in it, this student too
     * @return non-empty-list<float> together 1
     */
    public function weights(array $evidence, array $class = []): array
    {
        $own = $this->likelihoods($evidence);
        $logs = array_map(fn (float $o, int $i): float => $o + self::CLASS_SHARE * (($class[$i] ?? $o) - $o), $own, array_keys($own));

        return self::share($logs);
    }

    /**
     * @param  list<Evidence>  $evidence
     * @return non-empty-list<float>
     */
    private function likelihoods(array $evidence): array
    {
        return array_map(fn (TracingTable $table): float => self::likelihood($table, $evidence), $this->tables);
    }

    /**
     * Each showing as it would have been foretold just before its sample.
     *
     * @param  list<Evidence>  $evidence
     * @return list<array{skill: string, chance: float, shown: float}> chance that it is right, and what it was
     */
    public function foretold(array $evidence): array
    {
        $logs = array_fill(0, count($this->tables), 0.0);
        $known = array_fill(0, count($this->tables), []);
        $foretold = [];
        foreach ($evidence as $sample) {
            $weights = self::share($logs);
            foreach ($sample->skills() as $skill) {
                $shown = $sample->showing($skill) ?? Evidence::UNDECIDED;
                $chance = 0.0;
                $rights = [];
                foreach ($this->tables as $i => $table) {
                    [$right, $known[$i][$skill]] = self::step($table, $sample, $skill, $known[$i][$skill] ?? null);
                    $chance += $weights[$i] * $right;
                    $rights[] = $right;
                }
                $logs = array_map(fn (float $log, float $right): float => $log + self::log($right, $shown), $logs, $rights);
                $foretold[] = ['skill' => $skill, 'chance' => $chance, 'shown' => $shown];
            }
        }

        return $foretold;
    }

    /** @param  list<Evidence>  $evidence */
    private static function likelihood(TracingTable $table, array $evidence): float
    {
        $log = 0.0;
        $known = [];
        foreach ($evidence as $sample) {
            foreach ($sample->skills() as $skill) {
                [$right, $known[$skill]] = self::step($table, $sample, $skill, $known[$skill] ?? null);
                $log += self::log($right, $sample->showing($skill) ?? Evidence::UNDECIDED);
            }
        }

        return $log;
    }

    /** @return array{float, float} chance that the showing is right, and that the skill is known after it */
    private static function step(TracingTable $table, Evidence $sample, string $skill, ?float $known): array
    {
        $p = $table->for($skill);
        $known ??= $p->afterDemo();

        return [$known * (1 - $p->slip) + (1 - $known) * $p->guess, $table->tracing($skill)->afterSample($known, $sample->showings($skill))];
    }

    private static function log(float $right, float $shown): float
    {
        return log(max(Near::DUST, $shown * $right + (1 - $shown) * (1 - $right)));
    }

    /**
     * @param  non-empty-list<float>  $logs
     * @return non-empty-list<float> together 1
     */
    private static function share(array $logs): array
    {
        $most = max($logs);
        $weights = array_map(fn (float $l): float => exp($l - $most), $logs);
        $sum = array_sum($weights);

        return array_map(fn (float $w): float => $w / $sum, $weights);
    }
}

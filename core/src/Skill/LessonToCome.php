<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/**
 * A lesson still to come, by the skill model run forward: each of its skills is
 * known or not, a sample is good when all of them are shown right, and every
 * sample teaches each that is not known yet. What is known is followed for all
 * skills together, since a poor sample says something about each of them.
 */
final readonly class LessonToCome
{
    /** Nobody sews one lesson more often. */
    private const MOST_SAMPLES = 60;

    /** Fewer students than this are not followed further. */
    private const FOLLOWED = 1e-10;

    /**
     * @param  array<int, float>  $chances  that the first good sample is the 1st, 2nd …
     * @param  array<string, float>  $after  chance that each skill is known once it is there
     */
    private function __construct(public array $chances, public array $after) {}

    /** One skill, or one that stands for all. */
    public static function one(TracingParameters $p, float $known, bool $shown = true): self
    {
        return self::of(TracingTable::same($p), ['skill' => $known], $shown);
    }

    /**
     * @param  array<string, float>  $known  chance that each skill it teaches is known now, by skill; at most ten skills
     * @param  bool  $shown  whether it has been demonstrated before; a demonstration teaches once
     * @param  array<string, list<string>>  $needs  of these, which of them each stands on
     * @param  array<string, float>  $ground  chance that all else is known that each stands on
     */
    public static function of(TracingTable $table, array $known, bool $shown, array $needs = [], array $ground = []): self
    {
        $skills = array_map(strval(...), array_keys($known));
        $p = array_map($table->for(...), $skills);
        $number = array_flip($skills);
        $standsOn = array_map(fn (string $s): int => array_sum(array_map(fn (string $need): int => 1 << $number[$need], $needs[$s] ?? [])), $skills);
        $share = array_map(fn (string $s): float => self::share($ground[$s] ?? 1.0), $skills);
        $learns = array_map(fn (TracingParameters $of, float $part, int $on): array => [$of->transit * $part, $on], $p, $share, $standsOn);
        $watches = array_map(fn (TracingParameters $of, float $part, int $on): array => [$of->demo * $part, $on], $p, $share, $standsOn);
        $states = [1.0];
        foreach (array_values($known) as $i => $chance) {
            $next = [];
            foreach ($states as $state => $share) {
                $next[$state] = $share * (1 - $chance);
                $next[$state | 1 << $i] = $share * $chance;
            }
            $states = $next;
        }
        $states = $shown ? $states : self::taught($states, $watches);
        $right = array_map(fn (int $state): float => (float) array_product(array_map(fn (TracingParameters $of, int $i): float => ($state >> $i & 1) === 1 ? 1 - $of->slip : $of->guess, $p, array_keys($p))), array_combine(array_keys($states), array_keys($states)));
        [$chances, $after, $left] = [[], array_fill(0, count($p), 0.0), 1.0];
        for ($n = 1; $n <= self::MOST_SAMPLES && $left > self::FOLLOWED; $n++) {
            $good = array_map(fn (float $share, float $chance): float => $share * $chance, $states, $right);
            $good = array_combine(array_keys($states), $good);
            $chances[$n] = array_sum($good);
            foreach (self::taught($good, $learns) as $state => $share) {
                foreach ($p as $i => $_) {
                    $after[$i] += ($state >> $i & 1) === 1 ? $share : 0.0;
                }
            }
            foreach ($states as $state => $share) {
                $states[$state] = $share - $good[$state];
            }
            $left = array_sum($states);
            $states = self::taught($states, $learns);
        }
        $sum = array_sum($chances);

        return new self($chances, array_combine($skills, array_map(fn (float $a): float => $sum > 0 ? $a / $sum : 0.0, $after)));
    }

    /** How much of the chance to learn is there, where what it stands on is known with this chance. */
    private static function share(float $ground): float
    {
        return $ground + (1 - $ground) * SimulatedLearner::WITHOUT_NEEDS;
    }

    /** Samples it is expected to take. */
    public function expected(): float
    {
        $sum = 0.0;
        foreach ($this->chances as $n => $chance) {
            $sum += $n * $chance;
        }

        return $sum + (self::MOST_SAMPLES + 1) * max(0.0, 1 - array_sum($this->chances));
    }

    /**
     * @param  array<int, float>  $states  share of students by what they know, a bit a skill
     * @param  list<array{float, int}>  $learns  chance that a sample teaches each skill, and which of the others it stands on
     * @return array<int, float>
     */
    private static function taught(array $states, array $learns): array
    {
        foreach ($learns as $i => [$chance, $needs]) {
            foreach ($states as $state => $share) {
                if (($state >> $i & 1) === 0) {
                    $learned = $share * $chance * (($state & $needs) === $needs ? 1.0 : SimulatedLearner::WITHOUT_NEEDS);
                    $states[$state | 1 << $i] += $learned;
                    $states[$state] -= $learned;
                }
            }
        }

        return $states;
    }
}

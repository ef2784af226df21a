<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** What of a course is still to come: what one lesson has taught, the next begins with. */
final class LessonsToCome
{
    /** A session a week; common practice, no source. */
    public const SAMPLES_A_WEEK = 6.0;

    /** @var array<string, LessonToCome> students who stand alike are worked out once */
    private array $known = [];

    /** @param  float  $samplesAWeek  that a student sews; what is not sewn meanwhile fades */
    public function __construct(
        private readonly TracingTable $table,
        private readonly SkillGraph $skills,
        private readonly float $samplesAWeek = self::SAMPLES_A_WEEK,
        private readonly ?float $fadingWeeks = StandingLedger::FADING_WEEKS,
    ) {}

    /**
     * @param  list<list<string>>  $teaches  skills of each lesson, in order
     * @param  array<string, float>  $known  chance that each skill is known, as of now
     * @param  list<bool>  $shown  whether each has been demonstrated before
     * @return list<LessonToCome>
     */
    public function of(array $teaches, array $known, array $shown): array
    {
        $lessons = [];
        // Samples sewn from now on, and by when each skill was last sewn or used.
        [$sewn, $last] = [0.0, []];
        foreach ($teaches as $i => $skills) {
            $now = [];
            foreach ($skills as $skill) {
                // To a hundredth: finer than anything that was observed.
                $now[$skill] = round($this->faded($skill, $known[$skill] ?? null, $sewn - ($last[$skill] ?? 0.0)), 2);
            }
            [$needs, $ground] = $this->standsOn($skills, $known);
            $lessons[] = $lesson = $this->known[json_encode([$now, $shown[$i], $ground], JSON_THROW_ON_ERROR)] ??= LessonToCome::of($this->table, $now, $shown[$i], $needs, $ground);
            $known = $lesson->after + $known;
            $sewn += $lesson->expected();
            foreach ([...$skills, ...$this->skills->below(array_values(array_filter($skills, $this->skills->has(...))))] as $skill) {
                $last[$skill] = $sewn;
            }
        }

        return $lessons;
    }

    private function faded(string $skill, ?float $known, float $samples): float
    {
        $start = $this->table->for($skill)->start;

        return $known === null || $this->fadingWeeks === null ? $known ?? $start : $start + ($known - $start) * exp(-$samples / $this->samplesAWeek / $this->fadingWeeks);
    }

    /**
     * @param  list<string>  $skills
     * @param  array<string, float>  $known
     * @return array{array<string, list<string>>, array<string, float>} what each needs of the same lesson, and the chance that the rest is known
     */
    private function standsOn(array $skills, array $known): array
    {
        [$needs, $ground] = [[], []];
        foreach ($skills as $skill) {
            $of = $this->skills->has($skill) ? $this->skills->get($skill)->needs : [];
            $needs[$skill] = array_values(array_intersect($of, $skills));
            $ground[$skill] = round((float) array_product(array_map(fn (string $n): float => $known[$n] ?? $this->table->for($n)->start, array_diff($of, $skills))), 2);
        }

        return [$needs, $ground];
    }
}

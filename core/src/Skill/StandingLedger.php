<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/** Works out a student's standings from all their samples, oldest first. */
final readonly class StandingLedger
{
    /** A skill fades to 1/e of what was gained in this time; common practice, no source. */
    public const FADING_WEEKS = 12.0;

    private const SECONDS_PER_WEEK = 604_800;

    /** @param  float|null  $fadingWeeks time constant in weeks, above 0; null switches fading off */
    public function __construct(
        private TracingTable $table,
        private ?float $fadingWeeks = self::FADING_WEEKS,
    ) {}

    /**
     * @param  list<Evidence>  $evidence  in the order it was kept
     * @param  array<string, bool>  $words  the teacher's word by skill
     * @return array<string, Standing> only skills with evidence or a word
     */
    public function standings(array $evidence, DateTimeImmutable $now, array $words = []): array
    {
        /** @var array<string, float> $known */
        $known = [];
        /** @var array<string, list<float>> $showings */
        $showings = [];
        /** @var array<string, DateTimeImmutable> $last shown or used */
        $last = [];
        /** @var array<string, int> $clock the same in seconds: asked for at every showing */
        $clock = [];
        foreach ($evidence as $sample) {
            $at = $sample->at->getTimestamp();
            // What is used keeps: the clock of its fading starts anew, though nothing was read of it.
            foreach ($sample->uses as $skill) {
                if (isset($clock[$skill]) && $clock[$skill] < $at && $sample->showing($skill) === null) {
                    [$clock[$skill], $last[$skill]] = [$at, $sample->at];
                }
            }
            foreach ($sample->skills() as $skill) {
                // The first sample is sewn after the demonstration.
                $before = isset($known[$skill]) ? $this->faded($skill, $known[$skill], $at - $clock[$skill]) : $this->table->for($skill)->afterDemo();
                $showing = $sample->showing($skill) ?? Evidence::UNDECIDED;
                $after = $this->table->tracing($skill)->afterSample($before, $sample->showings($skill));
                // Practice may have taught something, but what was missed never counts for more than before.
                $known[$skill] = $showing < Evidence::UNDECIDED ? min($before, $after) : $after;
                $showings[$skill][] = $showing;
                [$clock[$skill], $last[$skill]] = [$at, $sample->at];
            }
        }
        $standings = [];
        foreach ($known as $skill => $p) {
            $skill = (string) $skill;
            $standings[$skill] = new Standing($skill, $p, $this->faded($skill, $p, $now->getTimestamp() - $clock[$skill]), $showings[$skill], $last[$skill], $words[$skill] ?? null);
        }
        foreach (array_diff_key($words, $standings) as $skill => $word) {
            $start = $this->table->for((string) $skill)->start;
            $standings[$skill] = new Standing((string) $skill, $start, $start, [], null, $word);
        }

        return $standings;
    }

    /** Toward the starting value between sessions; never forward, never past it. */
    public function fade(string $skill, float $known, DateTimeImmutable $from, DateTimeImmutable $to): float
    {
        return $this->faded($skill, $known, $to->getTimestamp() - $from->getTimestamp());
    }

    private function faded(string $skill, float $known, int $seconds): float
    {
        if ($this->fadingWeeks === null || $seconds <= 0) {
            return $known;
        }
        $start = $this->table->for($skill)->start;

        return $start + ($known - $start) * exp(-$seconds / self::SECONDS_PER_WEEK / $this->fadingWeeks);
    }
}

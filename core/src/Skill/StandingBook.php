<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/** Works out a student's standings from all their samples, oldest first. */
final readonly class StandingBook
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
        /** @var array<string, array{known: float, showings: list<float>, at: DateTimeImmutable}> $state */
        $state = [];
        foreach ($evidence as $sample) {
            // What is used keeps: the clock of its fading starts anew, though nothing was read of it.
            foreach ($sample->uses as $skill) {
                if (isset($state[$skill]) && ! isset($sample->weights[$skill])) {
                    $state[$skill]['at'] = max($state[$skill]['at'], $sample->at);
                }
            }
            foreach ($sample->weights as $skill => $weights) {
                if ($weights === []) {
                    continue;
                }
                $before = isset($state[$skill])
                    ? $this->fade((string) $skill, $state[$skill]['known'], $state[$skill]['at'], $sample->at)
                    : $this->table->for((string) $skill)->start;
                $state[$skill] = [
                    'known' => $this->table->tracing((string) $skill)->afterSample($before, $weights),
                    'showings' => [...($state[$skill]['showings'] ?? []), array_sum($weights) / count($weights)],
                    'at' => $sample->at,
                ];
            }
        }
        $standings = [];
        foreach ($state as $skill => $s) {
            $standings[$skill] = new Standing((string) $skill, $s['known'], $this->fade((string) $skill, $s['known'], $s['at'], $now), $s['showings'], $s['at'], $words[$skill] ?? null);
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
        if ($this->fadingWeeks === null) {
            return $known;
        }
        $weeks = max(0, $to->getTimestamp() - $from->getTimestamp()) / self::SECONDS_PER_WEEK;
        if ($weeks <= 0) {
            return $known;
        }

        $start = $this->table->for($skill)->start;

        return $start + ($known - $start) * exp(-$weeks / $this->fadingWeeks);
    }
}

<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Enrolment;
use App\Models\LessonAssignment;
use Carbon\CarbonImmutable;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\Standing;

/** One student of a class as they stand. */
final readonly class StudentAsRead
{
    /**
     * @param  list<KeptSample>  $samples  oldest first
     * @param  array<string, Level>  $levels  by skill
     * @param  Advice  $advice  what the ladder says now
     * @param  LessonAssignment|null  $assigned  what they were last given
     * @param  list<LessonAssignment>  $given  what they were given, oldest first; of a whole class only the last
     * @param  array<string, Standing>  $standings  as of now, by skill
     */
    public function __construct(
        public Enrolment $enrolment,
        public array $samples,
        public array $levels,
        public Advice $advice,
        public ?LessonAssignment $assigned,
        public array $given = [],
        public array $standings = [],
    ) {}

    /** @return array<string, float> chance that a skill is known now */
    public function known(): array
    {
        return array_map(fn (Standing $s): float => $s->faded, $this->standings);
    }

    public function last(): ?KeptSample
    {
        return $this->samples === [] ? null : $this->samples[count($this->samples) - 1];
    }

    /** What they sew now is this choice already, for the same reason. */
    public function wasGiven(Choice $choice): bool
    {
        return $this->isOverruled() && $this->lesson() === $choice->lesson && $this->drill() === $choice->drill && $this->assigned?->overruled_because === $choice->because;
    }

    /** The teacher's choice holds until the next sample; else the ladder's word as of now. */
    public function isOverruled(): bool
    {
        return $this->assigned?->overruled === true;
    }

    public function lesson(): ?string
    {
        return $this->isOverruled() ? $this->assigned?->lesson : $this->advice->lesson;
    }

    public function drill(): ?string
    {
        return $this->isOverruled() ? $this->assigned?->drill : $this->advice->drill?->id;
    }

    public function kind(): Kind
    {
        return $this->isOverruled() && $this->assigned !== null ? $this->assigned->kind : $this->advice->kind;
    }

    /** @return list<KeptSample> of that session, oldest first */
    public function keptIn(string $session): array
    {
        return array_values(array_filter($this->samples, fn (KeptSample $k): bool => $k->sample->plan_session_id === $session));
    }

    public function lookedAtIn(?string $session): bool
    {
        return $session !== null && $this->lastIn($session) !== null;
    }

    public function lastIn(string $session): ?CarbonImmutable
    {
        $kept = $this->keptIn($session);

        return $kept === [] ? null : CarbonImmutable::instance($kept[count($kept) - 1]->at);
    }

    public function level(string $skill): Level
    {
        return $this->levels[$skill] ?? Level::NotTried;
    }
}

<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use DateTimeImmutable;

/** Where a student stands with one skill. Derived: it can always be worked out again from the samples. */
final readonly class Standing
{
    /** A sure skill whose faded chance is below this wants a refresh, a less sure one in proportion; common practice, no source. */
    public const REFRESH_BELOW = 0.75;

    /** From here on a skill is coming rather than begun. */
    public const COMING_FROM = 0.5;

    /** A showing is good from this weight on: more met than near. */
    public const GOOD_SHOWING = 0.75;

    /** So many good showings before a skill is sure: once may be luck; common practice, no source. */
    public const SHOWINGS_FOR_SURE = 2;

    /**
     * From this chance on, and shown well the last time, the next lesson may stand on it: less than sure.
     * Chosen by simulated learners (./seam bench learners): lower leaves more unknown at the end, higher takes more samples.
     */
    public const GO_ON_FROM = 0.75;

    /** What is below this when all lessons are passed is sewn once more before the course is called done; chosen likewise. */
    public const CONFIRM_BELOW = 0.82;

    /** @param  list<float>  $showings the weakest required check of each sample that touched the skill, oldest first */
    public function __construct(
        public string $skill,
        /** Chance that it is known right after the last sample, 0 to 1. */
        public float $known,
        /** The same, faded to the moment asked for. */
        public float $faded,
        public array $showings,
        public ?DateTimeImmutable $lastShownAt,
        /** The teacher's own word, when given. */
        public ?bool $word = null,
        /** How often they sewed and read it by themselves since. */
        public int $practised = 0,
    ) {}

    public function tried(): bool
    {
        return $this->showings !== [];
    }

    public function lastShowing(): ?float
    {
        return $this->showings === [] ? null : $this->showings[count($this->showings) - 1];
    }

    /**
     * The last four showings say both, two well and two badly: whatever the level
     * says, it leans on the newest. The model cannot unlearn; the eye can.
     */
    public function isMixed(): bool
    {
        $last = array_slice($this->showings, -4);

        return count(array_filter($last, fn (float $w): bool => $w >= self::GOOD_SHOWING)) >= 2 && count(array_filter($last, fn (float $w): bool => $w < self::COMING_FROM)) >= 2;
    }

    public function isSure(School $school): bool
    {
        // The teacher's no counts under every school.
        return $this->word !== false && match ($school) {
            School::Tracing => $this->known >= KnowledgeTracing::MASTERY && count(array_filter($this->showings, fn (float $w): bool => $w >= self::GOOD_SHOWING)) >= self::SHOWINGS_FOR_SURE,
            School::ThreeInARow => count($this->showings) >= 3 && $this->goodAmongLast(3) === 3,
            School::TwoOfThree => $this->goodAmongLast(3) >= 2,
            School::TeachersWord => $this->word === true,
        };
    }

    /** Shown well enough that the next lesson may stand on it; what is not sure yet is confirmed there or later. */
    public function isEnough(School $school): bool
    {
        return $this->isSure($school) || ($school === School::Tracing && $this->word !== false && $this->known >= self::GO_ON_FROM && $this->lastShowing() >= self::GOOD_SHOWING);
    }

    /** Good enough to go on, not sure, and too little of it left for the course to be called done on it. */
    public function toConfirm(School $school): bool
    {
        return ! $this->isSure($school) && $this->isEnough($school) && $this->faded < self::CONFIRM_BELOW;
    }

    public function refreshDue(School $school): bool
    {
        return $this->isEnough($school) && $this->faded < self::REFRESH_BELOW * min(1.0, $school === School::Tracing ? $this->known / KnowledgeTracing::MASTERY : 1.0);
    }

    public function level(School $school): Level
    {
        return match (true) {
            $this->refreshDue($school) => Level::RefreshDue,
            $this->isSure($school) => Level::Sure,
            // Sewn at home it is coming at most; nobody has looked yet.
            ! $this->tried() && $this->practised > 0 => $this->known >= self::COMING_FROM ? Level::Coming : Level::Begun,
            ! $this->tried() => Level::NotTried,
            // What was missed the last time is not coming, however well it began.
            $this->known >= self::COMING_FROM && $this->lastShowing() >= Evidence::UNDECIDED => Level::Coming,
            default => Level::Begun,
        };
    }

    private function goodAmongLast(int $count): int
    {
        return count(array_filter(array_slice($this->showings, -$count), fn (float $w): bool => $w >= self::GOOD_SHOWING));
    }
}

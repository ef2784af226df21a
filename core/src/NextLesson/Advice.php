<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Fault\Change;

/** The next lesson for one student, and why. */
final readonly class Advice
{
    /**
     * @param  list<Reason>  $reasons
     * @param  list<Candidate>  $candidates  best first
     */
    public function __construct(
        public Kind $kind,
        public ?string $lesson,
        public ?Drill $drill,
        public Change $change,
        public array $reasons,
        public array $candidates,
        /** Under the together policy: the gap that comes along. */
        public ?Drill $warmUp = null,
        /** What can be done at home until then. */
        public ?Drill $homework = null,
        /** What changes because the outcome did not. */
        public ?Escalation $step = null,
    ) {}

    /** What sort of next lesson another lesson would be. */
    public function kindOf(string $lesson): Kind
    {
        foreach ($this->candidates as $candidate) {
            if ($candidate->lesson === $lesson && $candidate->drill === null) {
                return $candidate->kind;
            }
        }

        return Kind::GoOn;
    }

    public function withHomework(?Drill $homework): self
    {
        return new self($this->kind, $this->lesson, $this->drill, $this->change, $this->reasons, $this->candidates, $this->warmUp, $homework, $this->step);
    }
}

<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Words;

/** A class as it stands at a moment. */
final readonly class ClassAsRead
{
    /**
     * @param  list<PlanSession>  $sessions  in order
     * @param  array<string, StudentAsRead>  $students  by id, in the order of their seats
     */
    public function __construct(
        public SewingClass $class,
        public array $sessions,
        public CarbonImmutable $now,
        public Words $words,
        public array $students,
    ) {}

    public function sessionInHand(): ?SessionInHand
    {
        return SessionInHand::of($this->sessions, $this->now);
    }

    /** Whose sample to look at after this one: the next seat not yet looked at in this session. */
    public function after(string $student): ?StudentAsRead
    {
        $ids = array_keys($this->students);
        $at = (int) array_search($student, $ids, true);
        $round = [...array_slice($ids, $at + 1), ...array_slice($ids, 0, $at)];
        $session = $this->sessionInHand()?->session->id;
        foreach ($round as $id) {
            if (! $this->students[$id]->lookedAtIn($session)) {
                return $this->students[$id];
            }
        }

        return $round === [] ? null : $this->students[$round[0]];
    }
}

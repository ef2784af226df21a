<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\StudentRecords;
use App\Support\Clock;
use OpenSeam\Core\Course\Planning\CourseProgress;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Words;

/** What a class's sessions so far have really taught. */
final readonly class Taught
{
    /**
     * @param  list<list<string>>  $kept  lessons of each session that has begun
     * @param  list<list<string>>  $home  lessons sewn at home after each
     */
    private function __construct(public array $kept, public array $home) {}

    /**
     * The sessions that have begun, with what was taught in them: of the one running, all of it; of those
     * that are over, the lessons that enough of those looked at have. Nothing while nobody has sewn yet.
     *
     * @param  list<PlanSession>  $sessions  with their lessons
     */
    public static function of(SewingClass $class, array $sessions, StudentRecords $records): self
    {
        $students = array_values(array_map(strval(...), $class->enrolments()->pluck('student_id')->all()));
        $best = [];
        $seen = [];
        foreach ($records->of($students, Words::in()) as $student => $samples) {
            foreach ($samples as $kept) {
                $verdict = $kept->verdict();
                if ($verdict !== null) {
                    $best[$kept->sample->lesson][$student] = CourseProgress::better($best[$kept->sample->lesson][$student] ?? null, $verdict);
                }
                $seen[$kept->sample->plan_session_id ?? ''][$student] = true;
            }
        }
        $now = Clock::now();
        $taught = $home = [];
        foreach ($best === [] ? [] : $sessions as $session) {
            if ($session->beginsAt() > $now) {
                break;
            }
            $running = $session->endsAt() > $now;
            $holds = fn (string $id): bool => $running || self::holds($best[$id] ?? [], $seen[$session->id] ?? []);
            $taught[] = array_values(array_filter($session->lessonIds(), $holds));
            // What is sewn at home is looked at in a later session.
            $home[] = array_values(array_filter($session->homeIds(), fn (string $id): bool => $running || self::holds($best[$id] ?? [], [])));
        }

        return new self($taught, $home);
    }

    /** @return list<string> */
    public function all(): array
    {
        return array_merge([], ...$this->kept, ...$this->home);
    }

    /**
     * @param  array<array-key, Verdict>  $best  by student
     * @param  array<array-key, bool>  $seen  by student
     */
    private static function holds(array $best, array $seen): bool
    {
        return CourseProgress::holds($best, count($best + $seen));
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CoursePlan;
use App\Models\PlannedLesson;
use App\Models\SewingClass;
use App\Support\Conflict;
use App\Support\Shelf;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\InputError;

/** Keeps a plan as the teacher laid it. A plan with problems is kept too: the teacher decides. */
final readonly class StorePlan
{
    public function __construct(private Shelf $shelf) {}

    /**
     * @param  list<list<string>>  $sessions  lesson ids by session
     * @param  array<array-key, int>|null  $pins  session from 0, by lesson; null: those it has
     *
     * @throws Conflict when the plan has moved on
     * @throws InputError for a lesson that is not of the course, or twice in the plan
     */
    public function __invoke(SewingClass $class, array $sessions, int $version, ?array $pins = null): CoursePlan
    {
        return DB::transaction(function () use ($class, $sessions, $version, $pins): CoursePlan {
            $plan = CoursePlan::query()->where('class_id', $class->id)->lockForUpdate()->firstOrFail();
            if ($version !== $plan->version) {
                throw Conflict::stalePlan($version, $plan->version);
            }
            $count = $plan->sessions()->count();
            if (count($sessions) !== $count) {
                throw InputError::at('sessions', count($sessions), "The plan has $count sessions; give the lessons of each, an empty list for none.");
            }
            $seen = [];
            foreach ($sessions as $s => $lessons) {
                foreach ($lessons as $i => $lesson) {
                    in_array($lesson, $this->shelf->order($class->course), true) || throw InputError::at("sessions.$s.$i", $lesson, 'This must be a lesson of the course: '.implode(', ', $this->shelf->order($class->course)).'.');
                    isset($seen[$lesson]) && throw InputError::at("sessions.$s.$i", $lesson, 'This lesson is in the plan already; each lesson once.');
                    $seen[$lesson] = true;
                }
            }

            if ($pins !== null) {
                $plan->wishes = ['pins' => $this->pins($class, $pins, $count), 'closed' => $plan->wishes['closed'] ?? []];
            }

            return $this->write($plan, $sessions);
        });
    }

    /**
     * @param  array<array-key, int>  $pins
     * @return array<array-key, int>
     *
     * @throws InputError for a lesson that is not of the course, or a session that is not of the plan
     */
    public function pins(SewingClass $class, array $pins, int $sessions): array
    {
        foreach ($pins as $lesson => $session) {
            in_array((string) $lesson, $this->shelf->order($class->course), true) || throw InputError::at('pins', $lesson, 'Only a lesson of the course can be pinned.');
            $session >= 0 && $session < $sessions || throw InputError::at("pins.$lesson", $session + 1, "The plan has sessions 1 to $sessions.");
        }

        return $pins;
    }

    /** @param  list<list<string>>  $sessions */
    public function write(CoursePlan $plan, array $sessions): CoursePlan
    {
        $ids = array_values($plan->sessions()->pluck('id')->all());
        PlannedLesson::query()->whereIn('plan_session_id', $ids)->delete();
        $rows = [];
        foreach ($sessions as $s => $lessons) {
            foreach ($lessons as $position => $lesson) {
                $rows[] = ['id' => strtolower((string) Str::ulid()), 'studio_id' => $plan->studio_id, 'plan_session_id' => $ids[$s], 'lesson' => $lesson, 'position' => $position, 'created_at' => now(), 'updated_at' => now()];
            }
        }
        PlannedLesson::query()->insert($rows);
        $plan->version++;
        $plan->save();

        return $plan;
    }
}

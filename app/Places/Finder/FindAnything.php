<?php

declare(strict_types=1);

namespace App\Places\Finder;

use App\Models\Enrolment;
use App\Models\Foot;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Records\Shelf;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\Bundle;

/** Everything in this studio that has a name, and nothing of the program itself: what is typed is looked for among it where it is typed, with and without a line. */
final readonly class FindAnything
{
    /** Enough for many years of a studio; the newest stay. */
    private const MOST_STUDENTS = 3_000;

    public function __construct(private Shelf $shelf) {}

    /** @return list<FoundView> */
    public function __invoke(): array
    {
        $bundle = $this->shelf->bundle();
        $classes = SewingClass::query()->get()->keyBy('id');
        $students = Enrolment::query()->with('student')->whereHas('student')->whereIn('class_id', $classes->keys())->orderByDesc('id')->limit(self::MOST_STUDENTS)->get()
            ->map(fn (Enrolment $e): FoundView => new FoundView('student', $e->student->name, ($classes->get($e->class_id)->name ?? '').", seat $e->seat", "/class/{$e->class_id}/student/{$e->student_id}"))->all();
        $machines = Machine::standing()->get()->map(fn (Machine $m): FoundView => new FoundView('machine', $m->name, $m->usable ? $m->drive : 'do not use', '/room?show=machines'))->all();
        $feet = Foot::standing()->get()->map(fn (Foot $f): FoundView => new FoundView('foot', $f->name, $f->core()->kind->title, '/room?show=feet'))->all();
        $faults = array_map(fn (string $id, string $seen): FoundView => new FoundView('fault', ucfirst($seen), 'Fault finder', "/workshop/faults?seen=$id"), array_keys($bundle->faults), array_column($bundle->faults, 'seen'));

        return [
            ...array_values($students),
            ...array_values($classes->map(fn (SewingClass $c): FoundView => new FoundView('class', $c->name, '', "/today/$c->id"))->all()),
            ...array_values(array_map(fn (Lesson $l): FoundView => new FoundView('lesson', $l->title, $l->why, "/samplers/$l->id"), $bundle->lessons->all())),
            ...self::skills($bundle), ...array_values($faults), ...array_values($machines), ...array_values($feet),
        ];
    }

    /** @return list<FoundView> each with the first lesson that teaches it */
    private static function skills(Bundle $bundle): array
    {
        $found = [];
        foreach ($bundle->lessons as $lesson) {
            foreach ($lesson->teaches as $skill) {
                $found[$skill] ??= new FoundView('skill', $bundle->skills->get($skill)->title, $lesson->title, "/samplers/$lesson->id?skill=$skill");
            }
        }

        return array_values($found);
    }
}

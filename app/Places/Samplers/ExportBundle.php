<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\Shelf;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\InputError;

/**
 * The shelf, one of its courses or one lesson as a bundle that another studio
 * can bring in: with the skills it stands on and the faults it names. Nothing of
 * students, classes or machines is in it.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class ExportBundle
{
    public function __construct(private Shelf $shelf) {}

    /**
     * @return Json
     *
     * @throws InputError for a lesson or course that is not known
     */
    public function __invoke(?string $lesson, ?string $course): array
    {
        $bundle = $this->shelf->bundle();
        $json = $this->shelf->json();
        if ($lesson !== null) {
            return $this->part($json, $bundle, [$bundle->lesson($lesson)], [], $lesson, $bundle->lesson($lesson)->title);
        }
        if ($course !== null) {
            $found = $bundle->courses[$course] ?? throw InputError::at('course', $course, 'There is no such course. Known: '.implode(', ', array_keys($bundle->courses)).'.');

            return $this->part($json, $bundle, array_map($bundle->lesson(...), $found['lessons']), [$course], $course, $found['title']);
        }

        return $json;
    }

    /**
     * The course of a class as it is laid, in the order of its plan; what is not laid comes at the end.
     *
     * @return Json
     */
    public function asPlanned(SewingClass $class): array
    {
        $class->load('plan.sessions.lessons');
        $bundle = $this->shelf->bundle();
        $laid = array_merge([], ...array_values(array_map(fn (PlanSession $s): array => $s->lessonIds(), $class->plan?->sessions->all() ?? [])));
        $order = [...$laid, ...array_values(array_diff($this->shelf->order($class->course), $laid))];
        $title = $bundle->courses[$class->course]['title'].', as planned';
        $course = ['id' => $class->course.'-as-planned', 'title' => $title, 'lessons' => $order];

        return ['courses' => [$course]] + $this->part($this->shelf->json(), $bundle, array_map($bundle->lesson(...), $order), [], $course['id'], $title);
    }

    /**
     * @param  Json  $json
     * @param  list<Lesson>  $lessons
     * @param  list<string>  $courses
     * @return Json
     */
    private function part(array $json, Bundle $bundle, array $lessons, array $courses, string $id, string $title): array
    {
        $skills = [];
        $faults = [];
        foreach ($lessons as $lesson) {
            array_push($faults, ...$lesson->faults);
            array_push($skills, ...$lesson->teaches, ...array_map(fn ($d): string => $d->skill, $lesson->drills));
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->checks as $check) {
                    array_push($skills, ...$check->shows);
                }
            }
        }
        foreach (array_unique($faults) as $fault) {
            array_push($skills, ...$bundle->faults[$fault]->denies);
        }
        $skills = [...$skills, ...$bundle->skills->below(array_values(array_unique($skills)))];
        $only = fn (string $part, array $ids): array => array_values(array_filter(is_array($json[$part]) ? $json[$part] : [], fn (mixed $e): bool => is_array($e) && in_array($e['id'] ?? null, $ids, true)));

        return ['id' => $id, 'title' => $title] + [
            'courses' => $only('courses', $courses), 'skills' => $only('skills', $skills), 'faults' => $only('faults', $faults),
            'lessons' => $only('lessons', array_map(fn (Lesson $l): string => $l->id, $lessons)),
        ] + $json;
    }
}

<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Skill\SkillGraph;

/** A course bundle: skills, faults, lessons and the orders they are taught in. */
final readonly class Bundle
{
    /**
     * @param  array<string, Lesson>  $lessons
     * @param  array<string, Fault>  $faults
     * @param  array<string, array{title: string, lessons: list<string>}>  $courses
     */
    private function __construct(
        public string $id,
        public string $title,
        public SkillGraph $skills,
        public array $lessons,
        public array $faults,
        public array $courses,
    ) {}

    /**
     * @param  array<string, Lesson>  $lessons
     * @param  array<string, Fault>  $faults
     * @param  array<string, array{title: string, lessons: list<string>}>  $courses
     *
     * @throws InputError when a lesson, check, drill, fault or course names something that is not in the bundle
     */
    public static function of(string $id, string $title, SkillGraph $skills, array $lessons, array $faults, array $courses): self
    {
        $skill = fn (string $where, string $named) => $skills->has($named) ? null : throw InputError::at($where, $named, 'This must be the id of a skill of the bundle.');
        foreach ($lessons as $lesson) {
            foreach ($lesson->teaches as $taught) {
                $skill("lessons.{$lesson->id}.teaches", $taught);
            }
            foreach ($lesson->drills as $drill) {
                $skill("lessons.{$lesson->id}.drills.{$drill->id}", $drill->skill);
            }
            foreach ($lesson->faults as $fault) {
                isset($faults[$fault]) || throw InputError::at("lessons.{$lesson->id}.faults", $fault, 'This must be the id of a fault of the bundle.');
            }
            foreach ($lesson->rows as $row) {
                foreach ($row->checks as $check) {
                    foreach ($check->shows as $shown) {
                        $skill("lessons.{$lesson->id}.rows.{$row->id}.checks.{$check->id}", $shown);
                    }
                }
            }
        }
        foreach ($faults as $fault) {
            foreach ($fault->denies as $denied) {
                $skill("faults.{$fault->id}.denies", $denied);
            }
        }
        foreach ($courses as $course => $order) {
            foreach ($order['lessons'] as $lesson) {
                isset($lessons[$lesson]) || throw InputError::at("courses.$course", $lesson, 'This must be the id of a lesson of the bundle.');
            }
        }

        return new self($id, $title, $skills, $lessons, $faults, $courses);
    }

    /** @throws InputError when it is unknown */
    public function lesson(string $id): Lesson
    {
        return $this->lessons[$id] ?? throw InputError::at('lesson', $id, 'There is no such lesson. Known: '.implode(', ', array_keys($this->lessons)).'.');
    }

    /**
     * Lessons that must come before this one: for every skill it stands on, the
     * first lesson of the order that teaches it.
     *
     * @param  list<string>  $order  lesson ids
     * @return list<string> in that order
     */
    public function needs(string $lesson, array $order): array
    {
        $needs = [];
        foreach ($this->skills->below($this->lesson($lesson)->teaches) as $skill) {
            foreach ($order as $id) {
                if (in_array($skill, $this->lesson($id)->teaches, true)) {
                    $needs[$id] = true;
                    break;
                }
            }
        }
        unset($needs[$lesson]);

        return array_values(array_filter($order, fn (string $id): bool => isset($needs[$id])));
    }
}

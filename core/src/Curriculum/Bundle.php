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
     * @param  array<string, Fault>  $faults
     * @param  array<string, array{title: string, lessons: list<string>}>  $courses
     */
    private function __construct(
        public string $id,
        public string $title,
        public SkillGraph $skills,
        public Lessons $lessons,
        public array $faults,
        public array $courses,
    ) {}

    /**
     * The same with some lessons in another way.
     *
     * @param  array<string, Lesson>  $lessons  of this bundle, by id
     */
    public function with(array $lessons): self
    {
        return $lessons === [] ? $this : new self($this->id, $this->title, $this->skills, $this->lessons->with($lessons), $this->faults, $this->courses);
    }

    /**
     * @param  array<string, Fault>  $faults
     * @param  array<string, array{title: string, lessons: list<string>}>  $courses
     */
    public static function of(string $id, string $title, SkillGraph $skills, Lessons $lessons, array $faults, array $courses): self
    {
        return new self($id, $title, $skills, $lessons, $faults, $courses);
    }

    /**
     * All of it holds together. Asked where a bundle comes in, not each time it is read.
     *
     * @throws InputError when a lesson is not sound, or a lesson, check, drill, fault or course names something that is not in the bundle
     */
    public function checked(): self
    {
        foreach ($this->lessons as $lesson) {
            self::checkLesson($lesson, $this->skills, $this->faults);
        }
        foreach ($this->faults as $fault) {
            foreach ($fault->denies as $denied) {
                self::checkSkill("faults.{$fault->id}.denies", $denied, $this->skills);
            }
        }
        foreach ($this->courses as $course => $order) {
            foreach ($order['lessons'] as $lesson) {
                isset($this->lessons[$lesson]) || throw InputError::at("courses.$course", $lesson, 'This must be the id of a lesson of the bundle.');
            }
        }

        return $this;
    }

    /**
     * Every way of every lesson that a class can choose, or a machine can ask for, holds together too.
     * Asked when lessons come in, not each time they are read.
     *
     * @throws InputError naming the lesson and the school
     */
    public function checkWays(): void
    {
        foreach ($this->lessons as $lesson) {
            LessonWays::check($lesson, $this->skills, $this->faults);
        }
    }

    /**
     * Skills a lesson stands on: who sews it uses them. One that has left the bundle is passed over.
     *
     * @return list<string>
     */
    public function uses(Lesson $lesson): array
    {
        return $this->skills->below(array_values(array_filter($lesson->teaches, $this->skills->has(...))));
    }

    /**
     * @param  array<string, Fault>  $faults
     *
     * @throws InputError when it names a skill or a fault that is not there
     */
    public static function checkLesson(Lesson $lesson, SkillGraph $skills, array $faults): void
    {
        $lesson->teaches !== [] || throw InputError::at("lessons.{$lesson->id}.teaches", null, 'A lesson teaches at least one skill.');
        foreach ($lesson->teaches as $taught) {
            self::checkSkill("lessons.{$lesson->id}.teaches", $taught, $skills);
        }
        foreach ($lesson->drills as $drill) {
            self::checkSkill("lessons.{$lesson->id}.drills.{$drill->id}", $drill->skill, $skills);
            $drill->sampler();
        }
        foreach ($lesson->faults as $fault) {
            isset($faults[$fault]) || throw InputError::at("lessons.{$lesson->id}.faults", $fault, 'This must be the id of a fault of the bundle.');
        }
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->faults ?? [] as $fault) {
                in_array($fault, $lesson->faults, true) || throw InputError::at("lessons.{$lesson->id}.rows.{$row->id}.faults", $fault, 'This must be one of the faults of the lesson.');
            }
            foreach ($row->checks as $check) {
                foreach ($check->shows as $shown) {
                    self::checkSkill("lessons.{$lesson->id}.rows.{$row->id}.checks.{$check->id}", $shown, $skills);
                }
            }
        }
    }

    private static function checkSkill(string $where, string $named, SkillGraph $skills): void
    {
        $skills->has($named) || throw InputError::at($where, $named, 'This must be the id of a skill of the bundle.');
    }

    /** @throws InputError when it is unknown */
    public function lesson(string $id): Lesson
    {
        return $this->lessons[$id] ?? throw InputError::at('lesson', $id, 'There is no such lesson. Known: '.implode(', ', $this->lessons->ids()).'.');
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

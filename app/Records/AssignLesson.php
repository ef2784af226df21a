<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\LessonAssignment;
use App\Models\SewingClass;
use App\Models\Student;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\InputError;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Kind;

/** Gives a student what to sew next: the proposal, or what the teacher chose instead. */
final readonly class AssignLesson
{
    public function __construct(private Shelf $shelf) {}

    /** @throws InputError when the choice names no lesson or drill of the bundle, or one that cannot be sewn here and not why */
    public function __invoke(SewingClass $class, Student $student, Advice $advice, ?Choice $choice, ?string $sample = null): LessonAssignment
    {
        $overruled = $choice !== null && ($choice->lesson !== $advice->lesson || $choice->drill !== $advice->drill?->id);
        $kind = $advice->kind;
        if ($choice !== null && $overruled) {
            $lesson = $this->shelf->bundle()->lesson($choice->lesson);
            $drills = array_map(fn (Drill $d): string => $d->id, $lesson->drills);
            if ($choice->drill !== null && ! in_array($choice->drill, $drills, true)) {
                throw InputError::at('next.drill', $choice->drill, sprintf('%s has no such drill. It has: %s.', $lesson->title, implode(', ', $drills)));
            }
            $cannot = $choice->because === '' ? RoomInventory::read($class->studio_id)->cannot($lesson) : null;
            $cannot === null || throw InputError::at('next.because', '', "{$lesson->title} cannot be sewn in this room. $cannot Say why it is given all the same.");
            $kind = $choice->drill !== null ? Kind::Drill : $advice->kindOf($choice->lesson);
        }

        return DB::transaction(function () use ($class, $student, $sample, $kind, $overruled, $choice, $advice): LessonAssignment {
            Student::lock([$student->id]);

            return LessonAssignment::query()->create([
                'studio_id' => $class->studio_id, 'class_id' => $class->id, 'student_id' => $student->id, 'sample_id' => $sample,
                'kind' => $kind,
                'lesson' => $overruled ? $choice->lesson : $advice->lesson,
                'drill' => $overruled ? $choice->drill : $advice->drill?->id,
                'proposed_lesson' => $advice->lesson, 'proposed_drill' => $advice->drill?->id,
                'overruled' => $overruled, 'overruled_because' => $overruled ? $choice->because : '',
                'assigned_at' => Clock::now(), 'turn' => LessonAssignment::nextTurns([$student->id])[$student->id],
            ]);
        });
    }

    /**
     * What was kept before is seen differently now: the last proposal becomes what follows today.
     * What the teacher chose stays chosen.
     */
    public function renew(SewingClass $class, Student $student, Advice $advice): void
    {
        $last = LessonAssignment::inForce()->where('class_id', $class->id)->where('student_id', $student->id)->reorder()->orderByDesc('turn')->orderByDesc('id')->first();
        if ($last === null) {
            return;
        }
        $proposed = ['proposed_lesson' => $advice->lesson, 'proposed_drill' => $advice->drill?->id];
        $last->update($last->overruled ? $proposed : $proposed + ['kind' => $advice->kind, 'lesson' => $advice->lesson, 'drill' => $advice->drill?->id]);
    }
}

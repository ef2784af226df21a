<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Models\OwnLook;
use App\Models\SewingClass;
use App\Models\Student;
use App\Places\Look\JudgeSample;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;

/** Keeps what a student read by themselves. Nothing of the teacher's changes with it. */
final readonly class KeepOwnLook
{
    /** Nobody reads more of them in one course; a link in wrong hands fills no disk. */
    private const MOST = 200;

    public function __construct(private JudgeSample $judge) {}

    /**
     * @param  array<array-key, mixed>  $readings  as typed
     * @param  Way|null  $way  it was sewn in; null: as the class is taught
     *
     * @throws InputError when a reading does not fit or there is nothing to keep
     */
    public function __invoke(SewingClass $class, Student $student, string $id, string $lesson, string $place, array $readings, Unit $unit, ?Way $way = null): void
    {
        $id = strtolower($id);
        $judged = ($this->judge)($class, $student, $lesson, $readings, [], $unit, $id, way: $way);
        $verdicts = $judged->grade->verdicts();
        $verdicts !== [] || throw InputError::at('readings', null, 'There is nothing to judge yet: fill in the readings of one row.');
        // Sent again after a broken line it is there already; taken by somebody else it is not written over.
        if (OwnLook::query()->withoutGlobalScopes()->whereKey($id)->exists()) {
            return;
        }
        OwnLook::query()->where('student_id', $student->id)->count() < self::MOST || throw InputError::at('readings', self::MOST, sprintf('At most %d looks of your own; ask your teacher.', self::MOST));
        OwnLook::query()->create([
            'id' => $id, 'studio_id' => $class->studio_id, 'class_id' => $class->id, 'student_id' => $student->id, 'lesson' => $judged->lesson->id, 'lesson_version' => $judged->lesson->version,
            'place' => $place, 'readings' => $judged->readings->values, 'verdicts' => $verdicts, 'weights' => array_filter($judged->grade->weights), 'looked_at' => $judged->at,
        ]);
    }
}

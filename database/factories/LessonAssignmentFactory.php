<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\LessonAssignment;
use App\Models\SewingClass;
use App\Models\Student;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;
use OpenSeam\Core\NextLesson\Kind;

/**
 * A lesson given, as it was proposed.
 *
 * @extends Factory<LessonAssignment>
 */
final class LessonAssignmentFactory extends Factory
{
    protected $model = LessonAssignment::class;

    public function definition(): array
    {
        return [
            'class_id' => SewingClass::factory(),
            'student_id' => Student::factory(),
            'kind' => Kind::GoOn,
            'lesson' => 'first-seam',
            'proposed_lesson' => 'first-seam',
            'overruled' => false,
            'overruled_because' => '',
            'assigned_at' => Clock::now(),
            'turn' => fake()->unique()->numberBetween(1, 100_000),
        ];
    }
}

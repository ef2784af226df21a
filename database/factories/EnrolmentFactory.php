<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Enrolment;
use App\Models\SewingClass;
use App\Models\Student;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A student in a class, at a machine or at none.
 *
 * @extends Factory<Enrolment>
 */
final class EnrolmentFactory extends Factory
{
    protected $model = Enrolment::class;

    public function definition(): array
    {
        return [
            'class_id' => SewingClass::factory(),
            'student_id' => Student::factory(),
            'machine_id' => null,
            'seat' => fake()->unique()->numberBetween(1, 200),
            'note' => '',
        ];
    }
}

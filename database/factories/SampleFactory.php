<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\Student;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A sewn seam, without its readings.
 *
 * @extends Factory<Sample>
 */
final class SampleFactory extends Factory
{
    protected $model = Sample::class;

    public function definition(): array
    {
        return [
            'class_id' => SewingClass::factory(),
            'student_id' => Student::factory(),
            'lesson' => 'first-seam',
            'lesson_version' => 1,
            'settings' => [],
            'kept_at' => Clock::now(),
            'turn' => fake()->unique()->numberBetween(1, 100_000),
        ];
    }
}

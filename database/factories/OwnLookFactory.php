<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\OwnLook;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\Studio;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<OwnLook> */
final class OwnLookFactory extends Factory
{
    protected $model = OwnLook::class;

    public function definition(): array
    {
        return [
            'studio_id' => Studio::factory(), 'class_id' => SewingClass::factory(), 'student_id' => Student::factory(),
            'lesson' => 'first-seam', 'lesson_version' => 1, 'place' => 'home', 'readings' => [], 'verdicts' => [], 'weights' => [], 'looked_at' => now(),
        ];
    }
}

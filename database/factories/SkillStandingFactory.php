<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Models\Student;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * What is known of one skill.
 *
 * @extends Factory<SkillStanding>
 */
final class SkillStandingFactory extends Factory
{
    protected $model = SkillStanding::class;

    public function definition(): array
    {
        return [
            'class_id' => SewingClass::factory(),
            'student_id' => Student::factory(),
            'skill' => 'start-clean',
            'known' => 0.6,
            'showings' => [],
            'last_shown_at' => Clock::now(),
        ];
    }
}

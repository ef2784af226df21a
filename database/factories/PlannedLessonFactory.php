<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\PlannedLesson;
use App\Models\PlanSession;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A lesson on an evening.
 *
 * @extends Factory<PlannedLesson>
 */
final class PlannedLessonFactory extends Factory
{
    protected $model = PlannedLesson::class;

    public function definition(): array
    {
        return [
            'plan_session_id' => PlanSession::factory(),
            'lesson' => 'first-seam',
            'position' => 0,
            'at_home' => false,
        ];
    }
}

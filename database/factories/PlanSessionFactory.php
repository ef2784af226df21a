<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CoursePlan;
use App\Models\PlanSession;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * An evening of two hours, a week from now.
 *
 * @extends Factory<PlanSession>
 */
final class PlanSessionFactory extends Factory
{
    protected $model = PlanSession::class;

    public function definition(): array
    {
        return [
            'course_plan_id' => CoursePlan::factory(),
            'position' => fake()->unique()->numberBetween(0, 500),
            'starts_at' => Clock::now()->addWeek(),
            'minutes' => 120,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\BenchPlan;
use App\Models\PlanSession;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Who sits where on an evening: nobody yet.
 *
 * @extends Factory<BenchPlan>
 */
final class BenchPlanFactory extends Factory
{
    protected $model = BenchPlan::class;

    public function definition(): array
    {
        return [
            'plan_session_id' => PlanSession::factory(),
        ];
    }
}

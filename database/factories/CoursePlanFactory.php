<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CoursePlan;
use App\Models\SewingClass;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A plan without sessions.
 *
 * @extends Factory<CoursePlan>
 */
final class CoursePlanFactory extends Factory
{
    protected $model = CoursePlan::class;

    public function definition(): array
    {
        return [
            'class_id' => SewingClass::factory(),
            'version' => 1,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\ButtonholeJob;
use App\Models\ButtonholeTest;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * As planned, and its button snug.
 *
 * @extends Factory<ButtonholeTest>
 */
final class ButtonholeTestFactory extends Factory
{
    protected $model = ButtonholeTest::class;

    public function definition(): array
    {
        return [
            'job_id' => ButtonholeJob::factory(), 'way' => 'four-step', 'job' => [], 'planned' => ['finished_mm' => 21, 'opening_mm' => 18, 'half_wrap_mm' => 18], 'set_mm' => 21,
            'read' => ['left_mm' => 21, 'right_mm' => 21, 'button' => 'snug'], 'sewn_at' => Clock::now(),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\ButtonholeJob;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A flat button of 15 mm, as most begin.
 *
 * @extends Factory<ButtonholeJob>
 */
final class ButtonholeJobFactory extends Factory
{
    protected $model = ButtonholeJob::class;

    public function definition(): array
    {
        return ['job' => ['shape' => 'flat', 'diameter_mm' => 15, 'thickness_mm' => 3], 'title' => 'flat, 15 mm', 'begun_at' => Clock::now(), 'changed_at' => Clock::now()];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CameraComparison;
use App\Models\Studio;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/** @extends Factory<CameraComparison> */
final class CameraComparisonFactory extends Factory
{
    protected $model = CameraComparison::class;

    public function definition(): array
    {
        return [
            'studio_id' => Studio::factory(), 'sample' => strtolower((string) Str::ulid()), 'what' => 'allowance',
            'ruler_mm' => 15.5, 'ruler_u_mm' => 0.29, 'camera_mm' => 15.62, 'camera_u_mm' => 0.06, 'compared_at' => now(),
        ];
    }
}

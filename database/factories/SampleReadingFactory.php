<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Sample;
use App\Models\SampleReading;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A seam 15.9 mm from the edge at its first mark.
 *
 * @extends Factory<SampleReading>
 */
final class SampleReadingFactory extends Factory
{
    protected $model = SampleReading::class;

    public function definition(): array
    {
        return [
            'sample_id' => Sample::factory(),
            'reading' => 'seam.allowance',
            'position' => 0,
            'value' => 15.9,
            'limit_mm' => 0.25,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Sample;
use App\Models\SampleNote;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * What a teacher noted of a sample.
 *
 * @extends Factory<SampleNote>
 */
final class SampleNoteFactory extends Factory
{
    protected $model = SampleNote::class;

    public function definition(): array
    {
        return [
            'sample_id' => Sample::factory(),
            'turn' => fake()->unique()->numberBetween(1, 100_000),
            'kind' => 'note',
            'text' => fake()->sentence(),
            'made_at' => Clock::now(),
        ];
    }
}

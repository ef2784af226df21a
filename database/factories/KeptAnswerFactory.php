<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\KeptAnswer;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * An answer of a tool that was kept.
 *
 * @extends Factory<KeptAnswer>
 */
final class KeptAnswerFactory extends Factory
{
    protected $model = KeptAnswer::class;

    public function definition(): array
    {
        return [
            'tool' => 'guide',
            'text' => fake()->sentence(),
            'kept_at' => Clock::now(),
        ];
    }
}

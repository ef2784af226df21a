<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\ShelfEdition;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A shelf with nothing of the studio’s own on it.
 *
 * @extends Factory<ShelfEdition>
 */
final class ShelfEditionFactory extends Factory
{
    protected $model = ShelfEdition::class;

    public function definition(): array
    {
        return [
            'number' => fake()->unique()->numberBetween(1, 10_000),
            'what' => fake()->sentence(),
            'manifest' => ['lessons' => [],
                'skills' => [],
                'faults' => [],
                'courses' => []],
            'made_at' => Clock::now(),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Studio;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A workroom of its own; everything else belongs to one.
 *
 * @extends Factory<Studio>
 */
final class StudioFactory extends Factory
{
    protected $model = Studio::class;

    public function definition(): array
    {
        return [
            'name' => fake()->unique()->company(),
            'timezone' => 'UTC',
            'demo' => false,
        ];
    }
}

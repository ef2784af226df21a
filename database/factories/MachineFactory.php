<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Machine;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A mechanical machine as most are.
 *
 * @extends Factory<Machine>
 */
final class MachineFactory extends Factory
{
    protected $model = Machine::class;

    public function definition(): array
    {
        return [
            'name' => fake()->unique()->words(2, true),
            'drive' => 'mechanical',
            'facts' => null,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Role;
use App\Models\Studio;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use OpenSeam\Core\Measure\Unit;

/**
 * Somebody who teaches; owner() and helper() are the other two.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    protected $model = User::class;

    public function definition(): array
    {
        return [
            'studio_id' => Studio::factory(),
            'name' => fake()->firstName(),
            'email' => fake()->unique()->safeEmail(),
            'password' => 'unbleached calico',
            'role' => Role::Teacher,
            'unit' => Unit::Millimetre,
        ];
    }

    public function owner(): self
    {
        return $this->state(['role' => Role::Owner]);
    }

    public function helper(): self
    {
        return $this->state(['role' => Role::Helper]);
    }
}

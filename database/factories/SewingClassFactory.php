<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\SewingClass;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A class without students or sessions.
 *
 * @extends Factory<SewingClass>
 */
final class SewingClassFactory extends Factory
{
    protected $model = SewingClass::class;

    public function definition(): array
    {
        return [
            'name' => fake()->unique()->words(2, true),
            'course' => 'first-steps',
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\MaterialTick;
use App\Models\SewingClass;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Something that is there for a class.
 *
 * @extends Factory<MaterialTick>
 */
final class MaterialTickFactory extends Factory
{
    protected $model = MaterialTick::class;

    public function definition(): array
    {
        return [
            'class_id' => SewingClass::factory(),
            'item' => fake()->unique()->slug(2),
        ];
    }
}

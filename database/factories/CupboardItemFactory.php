<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CupboardItem;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Something in the cupboard.
 *
 * @extends Factory<CupboardItem>
 */
final class CupboardItemFactory extends Factory
{
    protected $model = CupboardItem::class;

    public function definition(): array
    {
        return [
            'item' => fake()->unique()->slug(2),
            'have' => 3.0,
            'price' => 2.5,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Foot;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Standard feet, two of them.
 *
 * @extends Factory<Foot>
 */
final class FootFactory extends Factory
{
    protected $model = Foot::class;

    public function definition(): array
    {
        return Foot::made('', ['kind' => 'standard', 'count' => 2])->only(['name', 'kind', 'count', 'facts']);
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\FaultHunt;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A search for the cause of loops underneath.
 *
 * @extends Factory<FaultHunt>
 */
final class FaultHuntFactory extends Factory
{
    protected $model = FaultHunt::class;

    public function definition(): array
    {
        return [
            'seen' => ['loops-under'],
            'known' => [],
            'trials' => [],
            'opened_at' => Clock::now(),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Sample;
use App\Models\SampleFault;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Thread nested under the start.
 *
 * @extends Factory<SampleFault>
 */
final class SampleFaultFactory extends Factory
{
    protected $model = SampleFault::class;

    public function definition(): array
    {
        return [
            'sample_id' => Sample::factory(),
            'fault' => 'nest-at-start',
        ];
    }
}

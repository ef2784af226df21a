<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Machine;
use App\Models\ServiceEntry;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A machine was cleaned.
 *
 * @extends Factory<ServiceEntry>
 */
final class ServiceEntryFactory extends Factory
{
    protected $model = ServiceEntry::class;

    public function definition(): array
    {
        return [
            'machine_id' => Machine::factory(),
            'kind' => 'clean',
            'note' => '',
            'done_at' => Clock::now(),
        ];
    }
}

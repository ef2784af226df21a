<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Invitation;
use App\Models\Role;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Somebody is asked to join, for a week.
 *
 * @extends Factory<Invitation>
 */
final class InvitationFactory extends Factory
{
    protected $model = Invitation::class;

    public function definition(): array
    {
        return [
            'email' => fake()->unique()->safeEmail(),
            'role' => Role::Teacher,
            'token_hash' => hash('sha256', fake()->unique()->uuid()),
            'expires_at' => Clock::now()->addWeek(),
        ];
    }
}

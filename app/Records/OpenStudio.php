<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Role;
use App\Models\Studio;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Opens a new studio with its first teacher. */
final readonly class OpenStudio
{
    public function __invoke(string $studio, string $name, string $email, string $password, string $timezone): User
    {
        return DB::transaction(function () use ($studio, $name, $email, $password, $timezone): User {
            $opened = Studio::query()->create(['name' => $studio, 'timezone' => $timezone]);

            return User::query()->create(['studio_id' => $opened->id, 'name' => $name, 'email' => mb_strtolower($email), 'password' => $password, 'role' => Role::Owner]);
        });
    }
}

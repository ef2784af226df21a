<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Console\LoadDemo;
use App\Models\Studio;
use Illuminate\Database\Seeder;

/** What a new database is filled with to try things on: the demo studio, once. */
final class DatabaseSeeder extends Seeder
{
    public function run(LoadDemo $load): void
    {
        Studio::query()->where('demo', true)->exists() || $load();
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\LoadDemo;
use App\Models\Studio;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'seam:demo {what=load : load or remove}';

    protected $description = 'Load the invented demo studio, its sessions laid around today, or take it out';

    public function handle(LoadDemo $load): int
    {
        if ($this->argument('what') === 'remove') {
            $gone = Studio::query()->where('demo', true)->get();
            // Everything hangs on its studio and goes with it, and nothing of another one.
            $gone->each(fn (Studio $s) => $s->delete());
            $this->line($gone->isEmpty() ? 'There is no demo studio here.' : 'The demo studio is gone, with everything in it. All else is as it was.');

            return self::SUCCESS;
        }
        if ($this->argument('what') !== 'load') {
            $this->error('It knows: load, remove.');

            return self::FAILURE;
        }
        if (Studio::query()->where('demo', true)->exists()) {
            $this->line('The demo studio is here already.');

            return self::SUCCESS;
        }
        $load();
        $this->info('  The demo studio is loaded.');

        return self::SUCCESS;
    }
}

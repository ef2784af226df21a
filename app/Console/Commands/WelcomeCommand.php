<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\LoadDemo;
use App\Models\Studio;
use Illuminate\Console\Command;

/** What whoever starts it needs to know to get in. */
final class WelcomeCommand extends Command
{
    protected $signature = 'seam:welcome {--empty : no demo for a new installation}';

    protected $description = 'Say how to get in: the demo sign-in while there is only the demo';

    public function handle(LoadDemo $demo): int
    {
        if (! $this->option('empty') && ! Studio::query()->exists()) {
            $demo();
            $this->line('  The demo studio is loaded: an invented class, to try everything on.');
        }
        $studios = Studio::query()->count();
        if (Studio::query()->where('demo', true)->exists()) {
            $this->line($studios === 1
                ? '  Demo sign-in:        teacher@mill.example   password: unbleached calico'
                : '  The demo studio is still here: ./seam demo remove takes it out.');
        }

        return self::SUCCESS;
    }
}

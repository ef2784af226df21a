<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\LoadDemo;
use App\Models\Studio;
use App\Places\Account\Registration;
use Illuminate\Console\Command;

/** What whoever starts it needs to know to get in. */
final class WelcomeCommand extends Command
{
    protected $signature = 'seam:welcome {--empty : no demo for a new installation}';

    protected $description = 'Say how to get in: the demo sign-in while there is only the demo, a link that opens the first studio until there is one';

    public function handle(LoadDemo $demo, Registration $registration): int
    {
        if (! $this->option('empty') && ! Studio::query()->exists()) {
            $demo();
            $this->line('  The demo studio is loaded: an invented class, to try everything on.');
        }
        if ($registration->isFirst()) {
            Studio::query()->where('demo', true)->exists() && $this->line('  Demo sign-in:        teacher@mill.example   password: unbleached calico');
            $this->line('  A studio of your own (the link works once, for a week):');
            $this->line('    '.url('/open-a-studio/'.$registration->newLink()));
        } elseif (Studio::query()->where('demo', true)->exists()) {
            $this->line('  The demo studio is still here: ./seam demo remove takes it out.');
        }

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\LoadDemo;
use App\Models\Studio;
use Illuminate\Console\Command;

final class DemoCommand extends Command
{
    protected $signature = 'seam:demo {--when-new : only when there is no studio yet}';

    protected $description = 'Load the invented demo studio, its sessions laid around today';

    public function handle(LoadDemo $load): int
    {
        if ($this->option('when-new') && Studio::query()->exists()) {
            return self::SUCCESS;
        }
        $load();
        $this->info('  The demo studio is loaded.');

        return self::SUCCESS;
    }
}

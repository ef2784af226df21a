<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Records\RebuildStandings;
use App\Support\CurrentStudio;
use Illuminate\Console\Command;

final class RebuildStandingsCommand extends Command
{
    protected $signature = 'seam:rebuild-standings';

    protected $description = 'Work out every skill standing anew from the kept samples';

    public function handle(RebuildStandings $rebuild, CurrentStudio $studio): int
    {
        $this->info(sprintf('Rebuilt the standings of %d enrolments.', $studio->everywhere(fn (): int => $rebuild())));

        return self::SUCCESS;
    }
}

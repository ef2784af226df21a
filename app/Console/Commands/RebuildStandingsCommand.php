<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\RebuildStandings;
use Illuminate\Console\Command;

final class RebuildStandingsCommand extends Command
{
    protected $signature = 'seam:rebuild-standings';

    protected $description = 'Work out every skill standing anew from the kept samples';

    public function handle(RebuildStandings $rebuild): int
    {
        $this->info(sprintf('Rebuilt the standings of %d enrolments.', $rebuild()));

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Places\Studio\Housekeeping;
use Illuminate\Console\Command;

final class HousekeepingCommand extends Command
{
    protected $signature = 'seam:housekeeping';

    protected $description = 'Put away, delete and sweep out what time has come for';

    public function handle(Housekeeping $sweep): int
    {
        $sweep();

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Records\Shelf;
use Illuminate\Console\Command;
use OpenSeam\Core\InputError;

final class CacheCurriculum extends Command
{
    protected $signature = 'seam:cache-curriculum';

    protected $description = 'Check the course bundle against its schema and compile it';

    public function handle(): int
    {
        try {
            Shelf::compile();
        } catch (InputError $e) {
            $this->error("{$e->field}: {$e->getMessage()}");

            return self::FAILURE;
        }
        $this->info('The course bundle fits its schema and is compiled.');

        return self::SUCCESS;
    }
}

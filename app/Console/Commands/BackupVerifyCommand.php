<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Backup\Archive;
use App\Support\Backup\BackupBroken;
use Illuminate\Console\Command;

final class BackupVerifyCommand extends Command
{
    protected $signature = 'seam:backup-verify {file}';

    protected $description = 'Read a backup whole and compare it with its list of contents';

    public function handle(): int
    {
        try {
            $archive = Archive::open((string) $this->argument('file'));
            $archive->verify();
        } catch (BackupBroken $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->info(sprintf('It is whole: made %s, %d rows in %d tables, %d photos.', $archive->manifest->madeAt, $archive->manifest->rows(), count($archive->manifest->tables), $archive->manifest->photos['count']));

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Backup\BackupBroken;
use App\Support\Backup\BackupFolder;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = 'seam:backup {--why=daily : daily or before-update} {--when-due : only when the last one is a day old}';

    protected $description = 'Write all data into one verified file in the folder of backups';

    /** Close to a day: a machine that is switched on each evening at seven gets one each evening. */
    private const DUE_HOURS = 20;

    public function handle(): int
    {
        $why = $this->option('why') === BackupFolder::BEFORE_UPDATE ? BackupFolder::BEFORE_UPDATE : BackupFolder::DAILY;
        $folder = BackupFolder::standard();
        $last = array_values($folder->all($why))[0] ?? null;
        if ($this->option('when-due') && $last !== null && $last->getTimestamp() > time() - self::DUE_HOURS * 3600) {
            return self::SUCCESS;
        }
        try {
            [$file, $archive] = $folder->add($why);
        } catch (BackupBroken $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line($file);
        $lost = $archive->manifest->photos['lost'];
        $this->line(sprintf('%d rows in %d tables, %d photos%s', $archive->manifest->rows(), count($archive->manifest->tables), $archive->manifest->photos['count'], $lost === 0 ? '' : ", $lost of them lost: their files are not where they were put"));

        return self::SUCCESS;
    }
}

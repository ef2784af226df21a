<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Photos\MovePhotos;
use App\Support\Photos\PhotoAway;
use App\Support\Photos\PhotoPlaces;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;

/** Run by the scheduler; stopped in the middle, it goes on where it was. */
final class PhotosCommand extends Command
{
    protected $signature = 'seam:photos {--to= : database, disk or s3; left out: where SEAM_PHOTOS says} {--sweep : remove files whose photo is gone as well} {--forget= : remove those of a database that is gone, and do nothing else}';

    protected $description = 'Bring every photo to where it belongs, one after the other';

    public function handle(MovePhotos $move, PhotoPlaces $places): int
    {
        $to = $this->option('to') ?? PhotoPlaces::wanted() ?? PhotoPlaces::DATABASE;
        $known = [PhotoPlaces::DATABASE, ...PhotoPlaces::DISKS];
        if (! in_array($to, $known, true)) {
            $this->error('--to is one of these: '.implode(', ', $known).'.');

            return self::FAILURE;
        }
        $disk = $to === PhotoPlaces::DATABASE ? null : $to;
        try {
            if (is_string($gone = $this->option('forget'))) {
                preg_match('/^open_seam_\w+$/D', $gone) === 1 && $gone !== DB::getDatabaseName() || throw new InvalidArgumentException('--forget names a database that is not in use.');
                $disk === null || $places->forget($disk, $gone);

                return self::SUCCESS;
            }
            [$done, $lost] = $move($disk, fn (int $so) => $this->line("  $so moved", verbosity: 'v'));
            $gone = $disk !== null && $this->option('sweep') ? $places->sweep($disk) : 0;
        } catch (PhotoAway|InvalidArgumentException $e) {
            report($e);
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $done + $lost + $gone === 0 || $this->line("$done photos moved to the $to".($gone === 0 ? '' : "; $gone files of photos that are gone were removed").'.');
        $lost === 0 || $this->error("$lost photos are lost: their files are not where they were put. A backup may hold them.");

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Support\Backup;

use App\Records\Facts;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;

/** The folder of the installation's own backups. */
final readonly class BackupFolder
{
    public const DAILY = 'daily';

    public const BEFORE_UPDATE = 'before-update';

    /** Backups made before a new version that stay. */
    private const UPDATES_KEPT = 3;

    public function __construct(private string $folder, private Rotation $rotation) {}

    public static function standard(): self
    {
        return new self(config()->string('seam.backup.folder'), new Rotation(config()->integer('seam.backup.days'), config()->integer('seam.backup.weeks'), config()->integer('seam.backup.months')));
    }

    /**
     * A new backup, verified; older ones go as the rotation says.
     *
     * @return array{string, Archive} its file
     *
     * @throws BackupBroken
     */
    public function add(string $why): array
    {
        is_dir($this->folder) || @mkdir($this->folder, 0700, true) || throw BackupBroken::written($this->folder);
        $lock = @fopen("$this->folder/.lock", 'c');
        $lock !== false && flock($lock, LOCK_EX | LOCK_NB) || throw BackupBroken::another();
        // What one that was killed left: it would never be whole, and holds personal data.
        foreach (glob("$this->folder/.*.parts") ?: [] as $left) {
            array_map(unlink(...), glob("$left/*") ?: []);
            @rmdir($left);
        }
        array_map(unlink(...), glob("$this->folder/*.backup.part") ?: []);
        // Backups go by the real clock, also where the class's clock stands still for a picture.
        $now = CarbonImmutable::now('UTC');
        $file = sprintf('%s/open-seam-%s-%s.backup', $this->folder, $now->format('Ymd-His'), $why);
        $archive = Archive::write(new Snapshot(DB::connection()), $file, $now->toIso8601ZuluString());
        DB::connection()->getSchemaBuilder()->hasTable('facts') && Facts::note(Facts::LAST_BACKUP, $now->toIso8601ZuluString());
        $this->rotate();

        return [$file, $archive];
    }

    /** @return array<string, DateTimeImmutable> when each was made, by name, newest first */
    public function all(string $why): array
    {
        $made = [];
        foreach (glob("$this->folder/open-seam-*-$why.backup") ?: [] as $file) {
            $at = preg_match('/open-seam-(\d{8}-\d{6})-/', basename($file), $m) === 1 ? DateTimeImmutable::createFromFormat('!Ymd-His', $m[1]) : false;
            $at === false || $made[basename($file)] = $at;
        }
        arsort($made);

        return $made;
    }

    private function rotate(): void
    {
        foreach ([...$this->rotation->gone($this->all(self::DAILY)), ...array_slice(array_keys($this->all(self::BEFORE_UPDATE)), self::UPDATES_KEPT)] as $name) {
            @unlink("$this->folder/$name");
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Support\Photos;

use App\Models\SamplePhoto;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Throwable;

/**
 * Where the pictures of photos lie: each is kept with its row in the database, whole or
 * not at all, and moved soon after to where the setting says. The database is one of the
 * places; the others are disks of the framework's filesystem. Files of one database lie
 * in a folder of its name, so that what a restore put aside keeps its own.
 */
final readonly class PhotoPlaces
{
    public const DATABASE = 'database';

    /** A folder, and a store that speaks S3: disks in config/filesystems.php. */
    public const DISKS = ['disk', 's3'];

    /** Of ids that are looked up at once. */
    private const AT_ONCE = 500;

    /** @return string|null the disk that photos belong on; null: they stay in the database */
    public static function wanted(): ?string
    {
        $set = config()->string('seam.photos');

        return in_array($set, self::DISKS, true) ? $set : null;
    }

    /**
     * The picture itself.
     *
     * @throws PhotoAway when its file is lost, or the disk cannot be reached
     */
    public function of(SamplePhoto $photo): string
    {
        return $photo->stored_on === null ? $photo->image : $this->read($photo->stored_on, self::path(DB::getDatabaseName(), $photo->studio_id, $photo->id));
    }

    /** @throws PhotoAway */
    public function read(string $disk, string $path): string
    {
        try {
            $bytes = self::disk($disk)->exists($path) ? self::disk($disk)->get($path) : null;
        } catch (Throwable $e) {
            throw PhotoAway::unreachable($disk, $e);
        }

        return is_string($bytes) && $bytes !== '' ? $bytes : throw PhotoAway::lost();
    }

    /**
     * Written, and read again: only then the other copy may go.
     *
     * @throws PhotoAway
     */
    public function write(string $disk, string $path, string $bytes): void
    {
        try {
            self::disk($disk)->put($path, $bytes);
            self::settle($disk, $path);
        } catch (Throwable $e) {
            throw PhotoAway::unreachable($disk, $e);
        }
        $this->read($disk, $path) === $bytes || throw PhotoAway::lost();
    }

    /** The row is gone; its file goes too. What cannot be reached now is swept out at night. */
    public function drop(SamplePhoto $photo): void
    {
        $photo->stored_on === null || $this->remove($photo->stored_on, self::path(DB::getDatabaseName(), $photo->studio_id, $photo->id));
    }

    public function remove(string $disk, string $path): void
    {
        try {
            self::disk($disk)->delete($path);
        } catch (Throwable $e) {
            report(PhotoAway::unreachable($disk, $e));
        }
    }

    /**
     * Files whose photo is gone, with its sample, student or studio.
     *
     * @return int how many went
     *
     * @throws PhotoAway
     */
    public function sweep(string $disk): int
    {
        $gone = 0;
        try {
            foreach (self::disk($disk)->directories(DB::getDatabaseName()) as $folder) {
                foreach (array_chunk(self::disk($disk)->files($folder), self::AT_ONCE) as $files) {
                    $ids = array_map(fn (string $f): string => basename($f, '.jpg'), $files);
                    $there = DB::table('sample_photos')->where('studio_id', basename($folder))->whereIn('id', $ids)->pluck('id')->all();
                    $over = array_values(array_filter($files, fn (string $f): bool => ! in_array(basename($f, '.jpg'), $there, true)));
                    $over === [] || self::disk($disk)->delete($over);
                    $gone += count($over);
                }
            }
        } catch (Throwable $e) {
            throw PhotoAway::unreachable($disk, $e);
        }

        return $gone;
    }

    /**
     * All photos of a database that was put aside and is gone now.
     *
     * @throws PhotoAway
     */
    public function forget(string $disk, string $database): void
    {
        try {
            self::disk($disk)->deleteDirectory($database);
        } catch (Throwable $e) {
            throw PhotoAway::unreachable($disk, $e);
        }
    }

    public static function path(string $database, string $studio, string $id): string
    {
        return "$database/$studio/$id.jpg";
    }

    /** What the system says is written may still be in its memory only. */
    private static function settle(string $disk, string $path): void
    {
        $local = self::disk($disk);
        if ($local instanceof LocalFilesystemAdapter && ($file = @fopen($local->path($path), 'r+b')) !== false) {
            fsync($file);
            fclose($file);
        }
    }

    private static function disk(string $name): Filesystem
    {
        return Storage::disk($name);
    }
}

<?php

declare(strict_types=1);

namespace App\Support\Backup;

use RuntimeException;

/** A file that cannot be restored, or could not be written. Whatever it is, nothing was changed. */
final class BackupBroken extends RuntimeException
{
    public static function notThere(string $file): self
    {
        return new self("There is no file “{$file}”.");
    }

    public static function notABackup(): self
    {
        return new self('This is not a whole backup of Open Seam: it is empty, cut short, or something else.');
    }

    public static function newer(int $format, int $known): self
    {
        return new self("This backup was made by a newer Open Seam (format $format; this one reads up to $known): bring this one up to date first.");
    }

    public static function newerTables(string $migration): self
    {
        return new self("This backup was made by a newer Open Seam, which knows “{$migration}”: bring this one up to date first.");
    }

    public static function manifest(string $what): self
    {
        return new self("The list of contents of this backup is not right: $what.");
    }

    public static function entry(string $name, string $what): self
    {
        return new self("The part “{$name}” of this backup $what.");
    }

    public static function written(string $file): self
    {
        return new self("The backup could not be written to $file. Is there room on the disk?");
    }

    public static function another(): self
    {
        return new self('Another backup is being made in this folder, or it cannot be written. Nothing was done.');
    }

    public static function photosAway(): self
    {
        return new self('The backup could not be made: the place where photos lie does not answer (SEAM_PHOTOS).');
    }

    public static function doesNotFit(string $what): self
    {
        return new self("The backup does not fit the tables it says it is of: $what.");
    }
}

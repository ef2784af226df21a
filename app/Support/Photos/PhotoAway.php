<?php

declare(strict_types=1);

namespace App\Support\Photos;

use RuntimeException;
use Throwable;

/** A picture that cannot be had, now or ever. */
final class PhotoAway extends RuntimeException
{
    private function __construct(string $message, public readonly bool $forEver, ?Throwable $because = null)
    {
        parent::__construct($message, 0, $because);
    }

    public static function lost(): self
    {
        return new self('This photo is lost: its file is not where it was put. A backup may hold it.', true);
    }

    /** The cause is not told to whoever asks: it names servers and folders. */
    public static function unreachable(string $disk, Throwable $because): self
    {
        return new self("The place where photos lie ($disk) does not answer. Try again in a moment.", false, $because);
    }
}

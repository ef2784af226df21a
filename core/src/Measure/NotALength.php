<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\ValueRefused;

/** A value that cannot be a length, and why. */
final class NotALength extends ValueRefused
{
    public static function unreadable(string $typed): self
    {
        return new self(sprintf('"%s" is not a length: type a number such as 15.9 or 15,9, or a fraction such as 5/8 or 1 1/2.', mb_strimwidth($typed, 0, 40, '…')));
    }

    public static function zeroDenominator(string $typed): self
    {
        return new self(sprintf('"%s" divides by zero: the lower number of a fraction must be 1 or more.', mb_strimwidth($typed, 0, 40, '…')));
    }

    public static function outOfRange(float $mm): self
    {
        return new self(sprintf('%s mm is not a length in this room: 0 to %s mm is allowed.', self::plain($mm), self::plain(Length::LONGEST_MM)));
    }

    private static function plain(float $mm): string
    {
        return is_finite($mm) ? rtrim(rtrim(number_format($mm, 3, '.', ''), '0'), '.') : 'an endless number of';
    }
}

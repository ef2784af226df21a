<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Near;

/** Whether a button goes through an opening. */
enum Passing: string
{
    case Passes = 'passes';
    case Tight = 'tight';
    case WillNotPass = 'will-not-pass';

    /** [mm] So much under the half wrap it still goes, with force; common practice, no source. */
    public const TIGHT_MM = 0.5;

    public static function of(float $openingMm, float $halfWrapMm): self
    {
        return match (true) {
            $openingMm >= $halfWrapMm - Near::DUST => self::Passes,
            $openingMm >= $halfWrapMm - self::TIGHT_MM - Near::DUST => self::Tight,
            default => self::WillNotPass,
        };
    }
}

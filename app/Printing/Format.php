<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\InputError;

/** Paper in the printer, portrait, mm. */
enum Format: string
{
    case A4 = 'A4';
    case Letter = 'Letter';

    /** @throws InputError for paper that is neither */
    public static function asked(mixed $format): self
    {
        $format ??= self::A4->value;

        return (is_string($format) ? self::tryFrom($format) : null) ?? throw InputError::at('format', $format, 'It must be one of: A4, Letter.');
    }

    public function widthMm(): float
    {
        return $this === self::A4 ? 210.0 : 215.9;
    }

    public function heightMm(): float
    {
        return $this === self::A4 ? 297.0 : 279.4;
    }

    /** Of half a sheet, portrait: A5, or half of a Letter. */
    public function halfWidthMm(): float
    {
        return $this === self::A4 ? 148.0 : 139.7;
    }

    public function halfHeightMm(): float
    {
        return $this->widthMm();
    }
}

<?php

declare(strict_types=1);

namespace App\Printing;

/** Paper in the printer, portrait, mm. */
enum Format: string
{
    case A4 = 'A4';
    case Letter = 'Letter';

    public function widthMm(): float
    {
        return $this === self::A4 ? 210.0 : 215.9;
    }

    public function heightMm(): float
    {
        return $this === self::A4 ? 297.0 : 279.4;
    }
}

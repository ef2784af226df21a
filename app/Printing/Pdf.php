<?php

declare(strict_types=1);

namespace App\Printing;

use Illuminate\Http\Response;

/** A PDF as an answer, shown where it was asked for. */
final class Pdf
{
    public static function of(string $bytes, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"$name.pdf\""]);
    }
}

<?php

declare(strict_types=1);

namespace App\Places\Student;

use Illuminate\Contracts\View\View;

/** The one page; the front end shows what the address asks for. */
final readonly class PageController
{
    public function __invoke(): View
    {
        return view('app');
    }
}

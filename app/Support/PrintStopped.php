<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Whoever waited for a print has stopped it. */
final class PrintStopped extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('The print was stopped; nothing was made.');
    }
}

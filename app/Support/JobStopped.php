<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Whoever waited for something long has stopped it. */
final class JobStopped extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('It was stopped; nothing was made.');
    }
}

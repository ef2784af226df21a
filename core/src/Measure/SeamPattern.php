<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/** How a seam strays from where it should run. */
enum SeamPattern: string
{
    case Good = 'good';
    case Offset = 'offset';
    case Drift = 'drift';
    case Wobble = 'wobble';
    case EndWander = 'end-wander';
}

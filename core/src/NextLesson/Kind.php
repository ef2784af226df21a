<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

/** What sort of next lesson it is. */
enum Kind: string
{
    case Repeat = 'repeat';
    case Drill = 'drill';
    case Refresh = 'refresh';
    case GoOn = 'go-on';
    case Enrich = 'enrich';
}

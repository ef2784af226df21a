<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

/** How a course treats gaps. */
enum Policy: string
{
    /** Nobody passes an unmet prerequisite. */
    case Gate = 'gate';
    /** The class moves on; the gap comes along as a warm-up. */
    case Together = 'together';
}

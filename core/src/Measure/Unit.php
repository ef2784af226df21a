<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/** The two units a sewing room measures in. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Inch = 'in';
}

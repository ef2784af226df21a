<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** What of a sewn row a scan does not show. */
enum NotFound: string
{
    case Edge = 'edge';
    case Row = 'row';
    case Stitches = 'stitches';
}
